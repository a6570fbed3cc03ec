// There are no stacks of native screens on the web: the router makes one when it is read, and draws none.
exports.createNativeStackNavigator = () => ({ Navigator: () => null });
