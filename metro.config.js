const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);

/** Zod re-exports its messages in fifty languages, which Metro can't shake off; English, the one in use, comes by itself. */
const isZodLocales = (name, origin) =>
  /[\\/]zod[\\/]v4[\\/]/.test(origin) && name.endsWith('locales/index.js');

config.resolver.resolveRequest = (context, name, platform) =>
  isZodLocales(name, context.originModulePath)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './src/ui/theme/global.css' });
