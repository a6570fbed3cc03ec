const { createHash } = require('node:crypto');
const { readdirSync, readFileSync } = require('node:fs');
const { join } = require('node:path');

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

/**
 * Imports are resolved through the indexes and plain texts written into a file when it is transformed, so what is cached is
 * good for these indexes and texts only.
 */
config.cacheVersion = hashSources();

function hashSources() {
  const hash = createHash('sha256');
  for (const plugin of ['importFromFiles', 'inlineTexts'])
    hash.update(readFileSync(join(__dirname, 'scripts/babel', `${plugin}.cjs`)));
  const files = readdirSync(join(__dirname, 'src'), { recursive: true }).filter(
    (file) => file.endsWith('index.ts') || /^texts[\\/].*\.ts$/.test(file),
  );
  for (const file of files.sort()) hash.update(readFileSync(join(__dirname, 'src', file)));
  return hash.digest('hex');
}

config.resolver.resolveRequest = (context, name, platform) =>
  isUnusedOfZod(name, context.originModulePath) || isUnusedOfRouter(name, context.originModulePath)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './src/ui/theme/global.css' });
