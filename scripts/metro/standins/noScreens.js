// There are no native screens whose updates could wait.
exports.initScreensFeatureFlags = () => undefined;
