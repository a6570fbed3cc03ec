// No child of a layout is a tab of the system.
exports.NativeTabTrigger = () => null;
exports.isNativeTabTrigger = () => false;
