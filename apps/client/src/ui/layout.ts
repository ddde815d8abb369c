import { useWindowDimensions } from 'react-native';

/** Three layouts: a phone's one column, two panes from 768, three from 1024. */
export type Layout = 'phone' | 'two' | 'wide';

export function useLayout(): Layout {
  const { width } = useWindowDimensions();
  return width >= 1024 ? 'wide' : width >= 768 ? 'two' : 'phone';
}
