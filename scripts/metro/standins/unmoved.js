// Movement as far as the list of rows asks for it: rows are drawn without headers that stay, so nothing of it ever moves.
const ScrollView = require('react-native-web/dist/exports/ScrollView').default;
const View = require('react-native-web/dist/exports/View').default;

class Value {
  constructor(value) {
    this.value = value;
  }
}

exports.__esModule = true;
exports.default = { ScrollView, View, Value, createAnimatedComponent: (component) => component };
