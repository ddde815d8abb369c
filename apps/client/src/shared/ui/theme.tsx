import { vars } from 'nativewind';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { useColorScheme, View, type ViewStyle } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { colours, type Colours } from './tokens.cjs';

interface Theme {
  night: boolean;
  c: Colours;
  /** What class names take the colours from; for what lies over the page, outside of everything else. */
  style: ViewStyle;
}

const ThemeContext = createContext<Theme>({ night: false, c: colours.light, style: {} });

/** The colours of the theme in use, for drawings; class names take the same ones by themselves. */
export const useTheme = (): Theme => useContext(ThemeContext);

/** Lays the theme's colours under everything: by the person's choice, else by the device's. */
export function ThemeProvider({ children }: { children: ReactNode }) {
  const device = useColorScheme();
  const choice = useAppSelector((s) => s.settings.theme);
  const night = choice === 'auto' ? device === 'dark' : choice === 'night';
  const theme = useMemo(() => {
    const c = night ? colours.night : colours.light;
    const style = vars(Object.fromEntries(Object.entries(c).map(([k, v]) => [`--${k}`, v])));
    return { night, c, style };
  }, [night]);
  return (
    <ThemeContext.Provider value={theme}>
      <View
        style={theme.style}
        className="flex-1 bg-paper"
        testID={night ? 'theme-night' : 'theme-light'}
      >
        {children}
      </View>
    </ThemeContext.Provider>
  );
}
