import { Text, type TextProps } from 'react-native';

/** Text styles by use: font, size, colour. Sizes and fonts are in the tokens. */
const variants = {
  body: ['font-text', 'text-body', 'text-ink'],
  strong: ['font-strong', 'text-body', 'text-ink'],
  label: ['font-label', 'text-label', 'text-pencil'],
  inline: ['font-name', 'text-body', 'text-ink'],
  row: ['font-name', 'text-row', 'text-ink'],
  rowBold: ['font-head', 'text-row', 'text-ink'],
  step: ['font-head', 'text-clock', 'text-ink'],
  told: ['font-text', 'text-key', 'text-ink'],
  screen: ['font-head', 'text-key', 'text-ink'],
  reading: ['font-clock', 'text-key tracking-[-0.05em]', 'text-ink'],
  clock: ['font-clockBold', 'text-clock tracking-[-0.07em]', 'text-ink'],
  ruling: ['font-clockBold', 'text-ruling tracking-[-0.07em]', 'text-ink'],
} as const;

const FACE = /(^|\s)font-\w/;
const COLOUR =
  /(^|\s)text-(ink|pencil|sheet|paper|teal|onTeal|onOchre|ochreInk|mossInk|oxideInk)\b/;

export interface TxtProps extends TextProps {
  as?: keyof typeof variants;
  className?: string;
}

/** Text in one of the styles. A font or colour class replaces that of the style. */
export function Txt({ as = 'body', className = '', ...rest }: TxtProps) {
  // The screen's name is its only first-level heading; its parts are below that.
  const heading = rest.role === 'heading' ? { 'aria-level': as === 'rowBold' ? 2 : 1 } : {};
  const [face, size, colour] = variants[as];
  const classes = [
    FACE.test(className) ? '' : face,
    size,
    COLOUR.test(className) ? '' : colour,
    className,
  ];
  return <Text className={classes.filter(Boolean).join(' ')} {...heading} {...rest} />;
}
