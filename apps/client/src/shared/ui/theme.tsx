import { vars } from 'nativewind';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { useColorScheme, View, type ViewStyle } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { colours, type Colours } from './tokens.cjs';

interface Theme {
  night: boolean;
  c: Colours;
  /** The variables that class names take colours from; for overlays outside the page's tree. */
  style: ViewStyle;
}

const ThemeContext = createContext<Theme>({ night: false, c: colours.light, style: {} });

/** The colours of the present theme, for drawings; class names use the same ones. */
export const useTheme = (): Theme => useContext(ThemeContext);

/** Sets the theme for everything: the person's choice, otherwise the device's. */
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
