// The components of React Native that take a className here; what NativeWind registers itself names all there are.
const { Image, Pressable, ScrollView, Text, TextInput, View } = require('react-native');
const { cssInterop } = require('react-native-css-interop/dist/runtime/api');

for (const component of [Image, Pressable, Text, View]) cssInterop(component, { className: 'style' });
cssInterop(ScrollView, { className: 'style', contentContainerClassName: 'contentContainerStyle' });
cssInterop(TextInput, { className: { target: 'style', nativeStyleToProp: { textAlign: true } } });
