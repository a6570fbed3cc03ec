// Nothing is measured: what the page leaves free at its edges stands in its styles.
const { createContext } = require('react');
const View = require('react-native-web/dist/exports/View').default;

const NONE = { top: 0, right: 0, bottom: 0, left: 0 };

exports.SafeAreaProvider = ({ children }) => children;
exports.SafeAreaView = View;
exports.SafeAreaInsetsContext = createContext(NONE);
exports.initialWindowMetrics = null;
exports.useSafeAreaInsets = () => NONE;
