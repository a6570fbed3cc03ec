import { AtkinsonHyperlegible_400Regular } from '@expo-google-fonts/atkinson-hyperlegible/400Regular';
import { AtkinsonHyperlegible_700Bold } from '@expo-google-fonts/atkinson-hyperlegible/700Bold';
import { Newsreader_400Regular } from '@expo-google-fonts/newsreader/400Regular';
import { Newsreader_400Regular_Italic } from '@expo-google-fonts/newsreader/400Regular_Italic';
import { FontDisplay, useFonts } from 'expo-font';
import { createContext, type ReactNode, useContext, useEffect } from 'react';
import { useColorScheme } from 'react-native';

import tokens from './tokens.json';

/** The current colours, by the names of look.md's tokens. */
export type Colours = (typeof tokens.colours)['light'];

const ColoursContext = createContext<Colours>(tokens.colours.light);
const TypeScaleContext = createContext(1);

/** The colours for what takes no class: icons, drawings. */
export function useColours(): Colours {
  return useContext(ColoursContext);
}

/** The user's size of type, 1 as designed; for what is measured in px and has text in it. */
export function useTypeScale(): number {
  return useContext(TypeScaleContext);
}

interface ThemeProps {
  readonly scheme: 'system' | 'light' | 'dark';
  /** 1 is the size as designed. */
  readonly typeScale: number;
  readonly children: ReactNode;
}

const swap = (uri: number) => ({ uri, display: FontDisplay.SWAP }) as const;

/** Applies the scheme, the size of type and the fonts to everything below. */
export function ThemeProvider({ scheme, typeScale, children }: ThemeProps) {
  const system = useColorScheme() === 'dark' ? 'dark' : 'light';
  const name = scheme === 'system' ? system : scheme;
  // Text is shown in the system's fonts until these have come: nobody waits for a font.
  useFonts({
    Newsreader: swap(Newsreader_400Regular),
    'Newsreader-Italic': swap(Newsreader_400Regular_Italic),
    Atkinson: swap(AtkinsonHyperlegible_400Regular),
    'Atkinson-Bold': swap(AtkinsonHyperlegible_700Bold),
  });
  useEffect(() => {
    const page = document.documentElement;
    page.classList.remove('light', 'dark');
    page.classList.add(name);
    page.style.fontSize = `${16 * typeScale}px`;
  }, [name, typeScale]);
  return (
    <TypeScaleContext.Provider value={typeScale}>
      <ColoursContext.Provider value={tokens.colours[name]}>{children}</ColoursContext.Provider>
    </TypeScaleContext.Provider>
  );
}
