exports.Redirect = require('expo-router/build/link/Redirect').Redirect;
