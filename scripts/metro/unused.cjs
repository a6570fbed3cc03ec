/**
 * What packages bring along and nothing here calls. Metro bundles every file that is named, whatever is used of it, so these
 * are left out by name: `from` is a part of the path that names them, `names` says which of its requests stay empty, or
 * are answered by another file. Something that is left out and used after all fails at once, when the page is drawn.
 */
const { join } = require('node:path');

const STANDINS = join(__dirname, 'standins');

const UNUSED = [
  {
    why: 'zod: messages in fifty languages (English comes by itself), JSON Schema both ways, schemas compiled ahead',
    from: /[\\/]zod[\\/]v4[\\/]/,
    names:
      /(locales\/index|json-schema-processors|json-schema-generator|from-json-schema|\/compile|\/deep-partial)\.js$/,
  },
  {
    why: 'the router: the list of all places and the page for an unknown one (we have our own)',
    from: /[\\/]expo-router[\\/]/,
    names: /\/(views\/Sitemap|views\/useSitemap|Sitemap|Unmatched|RootUnmatched|onboard\/Tutorial)$/,
  },
  {
    why: 'the router: tabs, stacks, their headers and buttons, and the colours these reckon; the frame draws its own',
    from: /[\\/]expo-router[\\/]/,
    names:
      /^color$|^\.\/color$|\/layouts\/(Tabs|Stack|experimental-stack)$|\/stack-utils$|^\.\/(stack|standard-navigation)$/,
  },
  {
    why: 'the router: messages for those who develop with it',
    from: /[\\/]expo-router[\\/]build[\\/]views[\\/]/,
    names: /^\.\/Toast$/,
  },
  {
    why: 'the router: links as it draws them, with previews; ours are anchors of our own',
    from: /[\\/]expo-router[\\/]build[\\/](link[\\/]index|views[\\/]|getRoutesRedirects)/,
    names: /(^\.\/|\/)Link$/,
    instead: 'onlyRedirect.js',
  },
  {
    why: 'the router: documents drawn on a server, links, and what it does itself beside its forks of the same',
    from: /[\\/]expo-router[\\/]build[\\/]react-navigation[\\/]native[\\/]index/,
    names:
      /^\.\/(Link|NavigationContainer|ServerContainer|createStaticNavigation|useLinkBuilder|useLinkProps|useLinkTo|useScrollToTop)$/,
  },
  {
    why: 'the router: navigation declared by objects, and the paths its forks reckon',
    from: /[\\/]expo-router[\\/]build[\\/]react-navigation[\\/]core[\\/]index/,
    names: /^\.\/(StaticNavigation|getPathFromState|getStateFromPath)$/,
  },
  {
    why: 'the router: tabs and drawers as states',
    from: /[\\/]expo-router[\\/]build[\\/]react-navigation[\\/]routers[\\/]index/,
    names: /^\.\/(DrawerRouter|TabRouter)$/,
  },
  {
    why: 'the router: its page for faults, pictures and labels of tabs, scrolling to the top',
    from: /[\\/]expo-router[\\/]build[\\/](exports|primitives[\\/]index)/,
    names: /^\.\/(views\/ErrorBoundary|elements|react-navigation\/native\/useScrollToTop)$/,
  },
  {
    why: 'the router: tabs of the system',
    from: /[\\/]expo-router[\\/]build[\\/]layouts[\\/]withLayoutContext/,
    names: /NativeTabTrigger$/,
    instead: 'noTabTrigger.js',
  },
  {
    why: 'the router: switches of native screens',
    from: /[\\/]expo-router[\\/]build[\\/]ExpoRoot/,
    names: /^\.\/screensFeatureFlags$/,
    instead: 'noScreens.js',
  },
  {
    why: 'the router: the head of the document, which usePageTitle writes',
    from: /[\\/]expo-router[\\/]build[\\/]qualified-entry/,
    names: /^\.\/head$/,
    instead: 'head.js',
  },
  {
    why: 'the router: stacks of native screens',
    from: /[\\/]expo-router[\\/]build[\\/]layouts[\\/]StackClient/,
    names: /createNativeStackNavigator$/,
    instead: 'noStack.js',
  },
  {
    why: 'the router: whether there is a bar of tabs, which there is not',
    from: /[\\/]expo-router[\\/]build[\\/]views[\\/]/,
    names: /react-navigation\/bottom-tabs$/,
    instead: 'noTabBar.js',
  },
  {
    why: 'the edges of a screen that something covers, which the page leaves to env(safe-area-inset-*)',
    from: /[\\/]node_modules[\\/]/,
    names: /^react-native-safe-area-context$/,
    instead: 'safeArea.js',
  },
  {
    why: 'React Native for the web: components that nothing here draws',
    from: /[\\/]react-native-web[\\/]dist[\\/]index/,
    names:
      /\/exports\/(Alert|Button|CheckBox|Clipboard|FlatList|ImageBackground|InputAccessoryView|KeyboardAvoidingView|LayoutAnimation|LogBox|Picker|ProgressBar|SafeAreaView|SectionList|Share|StatusBar|Switch|Touchable|TouchableOpacity|TouchableWithoutFeedback|TouchableHighlight|TouchableNativeFeedback|Vibration|VirtualizedList|YellowBox)$/,
  },
  {
    why: 'React Native for the web: movement; of it the list of rows uses two components that do not move',
    from: /[\\/]react-native-web[\\/]dist[\\/]index/,
    names: /\/exports\/Animated$/,
    instead: 'unmoved.js',
  },
  {
    why: 'React Native for the web: lists that move',
    from: /[\\/]react-native-web[\\/]dist[\\/]vendor[\\/]react-native[\\/]Animated[\\/]/,
    names: /\/(AnimatedFlatList|AnimatedSectionList)$/,
  },
  {
    why: 'NativeWind: it names every component of React Native; ours names those that are drawn',
    from: /[\\/]react-native-css-interop[\\/]dist[\\/]runtime[\\/]wrap-jsx/,
    names: /^\.\/components$/,
    instead: 'styledComponents.js',
  },
  {
    why: 'drawings: those read from text or fetched',
    from: /[\\/]react-native-svg[\\/]lib[\\/]module[\\/]ReactNativeSVG/,
    names: /^\.\/(xml|deprecated|utils\/fetchData)$/,
  },
];

/** The answer to a request, where it is for something unused. */
function answerUnused(name, origin) {
  const rule = UNUSED.find((each) => each.from.test(origin) && each.names.test(name));
  if (!rule) return undefined;
  return rule.instead ? { type: 'sourceFile', filePath: join(STANDINS, rule.instead) } : { type: 'empty' };
}

module.exports = { answerUnused };
