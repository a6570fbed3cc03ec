const { createHash } = require('node:crypto');
const { readdirSync, readFileSync } = require('node:fs');
const { join } = require('node:path');

const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const { answerUnused } = require('./scripts/metro/unused.cjs');

const config = getDefaultConfig(__dirname);

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

/** Asks which script is running, which can be answered only while it is read. */
const RUN_AT_ONCE = { [require.resolve('expo/src/winter/ImportMetaRegistry.ts')]: true };

/** A module runs when something of it is first used, not when the first page that could use it is read. */
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: true, inlineRequires: { blockList: RUN_AT_ONCE } },
});

config.resolver.resolveRequest = (context, name, platform) =>
  answerUnused(name, context.originModulePath) ?? context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './src/ui/theme/global.css' });
