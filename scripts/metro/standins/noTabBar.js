const { createContext } = require('react');

exports.BottomTabBarHeightContext = createContext(undefined);
