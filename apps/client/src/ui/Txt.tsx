import { Text, type TextProps } from 'react-native';

/** The type of the house, by use. Sizes and families live in the tokens. */
const variants = {
  body: 'font-text text-body text-ink',
  strong: 'font-strong text-body text-ink',
  label: 'font-label text-label text-pencil',
  inline: 'font-name text-body text-ink',
  row: 'font-name text-row text-ink',
  rowBold: 'font-head text-row text-ink',
  screen: 'font-head text-key text-ink',
  reading: 'font-clock text-key tracking-[-0.05em] text-ink',
  clock: 'font-clockBold text-clock tracking-[-0.07em] text-ink',
  ruling: 'font-clockBold text-ruling tracking-[-0.07em] text-ink',
} as const;

export interface TxtProps extends TextProps {
  as?: keyof typeof variants;
  className?: string;
}

export function Txt({ as = 'body', className = '', ...rest }: TxtProps) {
  return <Text className={`${variants[as]} ${className}`} {...rest} />;
}
