/** The source of Kelmot's look: colours of both themes, type, sizes. Used by NativeWind and by the drawings. */
const light = {
  paper: '#F3F0E8',
  sheet: '#FCFBF7',
  shade: '#E9E4D8',
  ink: '#1C2322',
  pencil: '#47514E',
  rule: '#D6D0C2',
  teal: '#1F5A5E',
  onTeal: '#FCFBF7',
  ochre: '#D9952B',
  onOchre: '#1C2322',
  ochreInk: '#6C4406',
  moss: '#5F7238',
  mossInk: '#46562A',
  mossPale: '#B9C29F',
  mossTint: '#E4E6D3',
  oxide: '#A83A2A',
  oxideInk: '#8E2E20',
};
const night = {
  paper: '#121716',
  sheet: '#1B2221',
  shade: '#0C100F',
  ink: '#ECE9E0',
  pencil: '#A3AEAA',
  rule: '#38433F',
  teal: '#7FBFC0',
  onTeal: '#1B2221',
  ochre: '#E5AE55',
  onOchre: '#1C2322',
  ochreInk: '#E5AE55',
  moss: '#A9BF76',
  mossInk: '#B7CB88',
  mossPale: '#5E6C45',
  mossTint: '#29311F',
  oxide: '#EC8A78',
  oxideInk: '#F2A192',
};

const fontFamily = {
  text: ['Barlow_400Regular'],
  strong: ['Barlow_600SemiBold'],
  label: ['BarlowSemiCondensed_500Medium'],
  name: ['BarlowSemiCondensed_600SemiBold'],
  head: ['BarlowSemiCondensed_700Bold'],
  clock: ['MartianMono_500Medium'],
  clockBold: ['MartianMono_600SemiBold'],
};

/** Name: [size, line height], in rem, so that the browser's text size applies. */
const rem = (px) => `${px / 16}rem`;
const fontSize = {
  label: [rem(14), rem(18)],
  body: [rem(16), rem(21)],
  row: [rem(19), rem(24)],
  key: [rem(24), rem(30)],
  clock: [rem(34), rem(40)],
  // The main clock of a screen is as large as possible without being cut on a narrow phone.
  ruling: [`min(${rem(56)}, 28vw)`, `min(${rem(60)}, 30vw)`],
};

module.exports = { colours: { light, night }, fontFamily, fontSize };
