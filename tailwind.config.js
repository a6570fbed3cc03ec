const { colours, sizes } = require('./src/ui/theme/tokens.json');

const token = (name) => `rgb(var(--${name}) / <alpha-value>)`;

/** Every colour and size of the look is a token; nothing else can be named in a class. */
module.exports = {
  content: ['./src/app/**/*.tsx', './src/places/**/*.tsx', './src/ui/**/*.tsx'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    colors: {
      transparent: 'transparent',
      ...Object.fromEntries(Object.keys(colours.light).map((name) => [name, token(name)])),
    },
    fontFamily: {
      serif: ['Newsreader', 'Georgia', 'Noto Serif', 'Noto Serif CJK JP', 'serif'],
      serifItalic: ['Newsreader-Italic', 'Newsreader', 'Georgia', 'serif'],
      sans: ['Atkinson', 'Noto Sans', 'Noto Sans CJK JP', 'sans-serif'],
      sansBold: ['Atkinson-Bold', 'Noto Sans', 'Noto Sans CJK JP', 'sans-serif'],
    },
    fontSize: Object.fromEntries(
      Object.entries(sizes).map(([name, [size, line]]) => [
        name,
        [`${size / 16}rem`, { lineHeight: `${line / 16}rem` }],
      ]),
    ),
    extend: {
      keyframes: { appear: { from: { opacity: '0' }, to: { opacity: '1' } } },
      borderRadius: { stamp: '6px' },
      screens: { wide: '900px', page: '1280px' },
    },
  },
};
