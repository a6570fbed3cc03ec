const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

/**
 * What zod re-exports and nothing here calls, which Metro can't shake off: messages in fifty languages (English comes by
 * itself), JSON Schema both ways, schemas compiled ahead.
 */
const UNUSED_OF_ZOD =
  /(locales\/index|json-schema-processors|json-schema-generator|from-json-schema|\/compile)\.js$/;
const isUnusedOfZod = (name, origin) => /[\\/]zod[\\/]v4[\\/]/.test(origin) && UNUSED_OF_ZOD.test(name);

/**
 * Of the router: the list of all places, which is turned off in app.json; what is for iOS alone; and what reckons colours
 * for its own headers, tabs and buttons, none of which is drawn here.
 */
const isUnusedOfRouter = (name, origin) =>
  /[\\/]expo-router[\\/]/.test(origin) &&
  (name === 'color' || /\/(views\/Sitemap|LinkWithPreview)$/.test(name));

config.resolver.resolveRequest = (context, name, platform) =>
  isUnusedOfZod(name, context.originModulePath) || isUnusedOfRouter(name, context.originModulePath)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './src/ui/theme/global.css' });
