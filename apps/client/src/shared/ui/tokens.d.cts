export type ColourName =
  | 'paper'
  | 'sheet'
  | 'shade'
  | 'ink'
  | 'pencil'
  | 'rule'
  | 'teal'
  | 'onTeal'
  | 'ochre'
  | 'onOchre'
  | 'ochreInk'
  | 'moss'
  | 'mossInk'
  | 'mossPale'
  | 'mossTint'
  | 'oxide'
  | 'oxideInk';
export type Colours = Record<ColourName, string>;
export const colours: { light: Colours; night: Colours };
export const fontFamily: Record<string, string[]>;
export const fontSize: Record<string, [string, string]>;
