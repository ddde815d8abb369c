import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFPage, type RGB } from 'pdf-lib';

export type PaperSize = 'a4' | 'letter';
export interface Fonts {
  text: Uint8Array;
  bold: Uint8Array;
  label: Uint8Array;
}

const SIZES: Record<PaperSize, [number, number]> = { a4: [595.28, 841.89], letter: [612, 792] };
const MARGIN = 40;
const FOOT = 34;

const hex = (code: string): RGB => {
  const n = parseInt(code.slice(1), 16);
  return rgb(((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255);
};
/** The inks of paper: the light theme’s. */
export const INK = {
  ink: hex('#1C2322'),
  pencil: hex('#47514E'),
  rule: hex('#D6D0C2'),
  moss: hex('#5F7238'),
  mossInk: hex('#46562A'),
  mossTint: hex('#E4E6D3'),
  oxide: hex('#8E2E20'),
  sheet: hex('#FFFFFF'),
};

export type Style = { font: keyof Fonts; size: number; lead: number; ink?: RGB };
export const STYLES = {
  title: { font: 'label', size: 20, lead: 24 },
  heading: { font: 'label', size: 13, lead: 17 },
  row: { font: 'label', size: 11, lead: 14 },
  text: { font: 'text', size: 9.5, lead: 12.5 },
  strong: { font: 'bold', size: 9.5, lead: 12.5 },
  label: { font: 'text', size: 8, lead: 10.5, ink: INK.pencil },
} satisfies Record<string, Style>;

/** Signs that a font does not have, and what is put for them. */
const STAND_INS: Record<string, string> = {
  '⌀': 'Ø',
  '\u202f': ' ',
  '−': '-',
  '✓': 'x',
  '≥': '>=',
};

/** A document that is written from top to bottom and turns its own pages. Coordinates in points from the top left. */
export class Sheet {
  page!: PDFPage;
  y = 0;
  private readonly size: [number, number];
  private readonly signs = new Map<PDFFont, Set<number>>();
  private readonly widths = new Map<string, number>();

  private constructor(
    readonly doc: PDFDocument,
    private readonly fonts: Record<keyof Fonts, PDFFont>,
    paper: PaperSize,
  ) {
    this.size = SIZES[paper];
    this.turn();
  }

  static async open(paper: PaperSize, fonts: Fonts): Promise<Sheet> {
    const doc = await PDFDocument.create();
    doc.registerFontkit(fontkit);
    const embed = (bytes: Uint8Array) => doc.embedFont(bytes, { subset: true });
    const [text, bold, label] = await Promise.all([
      embed(fonts.text),
      embed(fonts.bold),
      embed(fonts.label),
    ]);
    return new Sheet(doc, { text, bold, label }, paper);
  }

  get left(): number {
    return MARGIN;
  }
  get width(): number {
    return this.size[0] - 2 * MARGIN;
  }
  get right(): number {
    return this.size[0] - MARGIN;
  }
  private get bottom(): number {
    return this.size[1] - MARGIN - FOOT;
  }

  turn(): void {
    this.page = this.doc.addPage(this.size);
    this.y = MARGIN;
  }

  /** Turns the page unless this much of it is left. */
  need(height: number): void {
    if (this.y + height > this.bottom) this.turn();
  }

  /** From the top of the page to pdf’s own height. */
  up(y: number): number {
    return this.size[1] - y;
  }

  /** A text with every sign that the font has; what it lacks by its stand-in. */
  private legible(text: string, style: Style): string {
    const font = this.fonts[style.font];
    let signs = this.signs.get(font);
    if (!signs) this.signs.set(font, (signs = new Set(font.getCharacterSet())));
    const has = signs;
    return [...text]
      .map((sign) => (has.has(sign.codePointAt(0) ?? 0) ? sign : (STAND_INS[sign] ?? '?')))
      .join('');
  }

  widthOf(text: string, style: Style): number {
    const key = `${style.font}|${style.size}|${text}`;
    let width = this.widths.get(key);
    if (width === undefined) {
      width = this.fonts[style.font].widthOfTextAtSize(this.legible(text, style), style.size);
      this.widths.set(key, width);
    }
    return width;
  }

  /** One line at a place; `right` sets it against that edge. */
  put(
    text: string,
    {
      x,
      y,
      style,
      align = 'left',
    }: { x: number; y: number; style: Style; align?: 'left' | 'right' | 'middle' },
  ): void {
    const shown = this.legible(text, style);
    const width = this.fonts[style.font].widthOfTextAtSize(shown, style.size);
    const shift = align === 'left' ? 0 : align === 'right' ? width : width / 2;
    this.page.drawText(shown, {
      x: x - shift,
      y: this.up(y + style.size),
      size: style.size,
      font: this.fonts[style.font],
      color: style.ink ?? INK.ink,
    });
  }

  /** Breaks a text into lines of a width. */
  wrap(text: string, width: number, style: Style): string[] {
    const lines: string[] = [];
    const space = this.widthOf(' ', style);
    let line: string[] = [];
    let used = 0;
    // Word by word: a word is measured once, however often it comes.
    for (const word of text.split(/\s+/).filter(Boolean)) {
      const more = this.widthOf(word, style);
      if (line.length > 0 && used + space + more > width) {
        lines.push(line.join(' '));
        line = [];
        used = 0;
      }
      used += (line.length > 0 ? space : 0) + more;
      line.push(word);
    }
    return line.length > 0 ? [...lines, line.join(' ')] : lines;
  }

  /** A paragraph from the left edge, or from `indent`; turns the page where it must. */
  write(
    text: string,
    {
      style,
      indent = 0,
      width = this.width - indent,
    }: { style: Style; indent?: number; width?: number },
  ): void {
    for (const line of this.wrap(text, width, style)) {
      this.need(style.lead);
      this.put(line, { x: this.left + indent, y: this.y, style });
      this.y += style.lead;
    }
  }

  rule(thick = 0.5, ink = INK.rule): void {
    this.page.drawLine({
      start: { x: this.left, y: this.up(this.y) },
      end: { x: this.right, y: this.up(this.y) },
      thickness: thick,
      color: ink,
    });
  }

  box({
    x,
    y,
    width,
    height,
    thick = 0.9,
  }: {
    x: number;
    y: number;
    width: number;
    height: number;
    thick?: number;
  }): void {
    this.page.drawRectangle({
      x,
      y: this.up(y + height),
      width,
      height,
      borderWidth: thick,
      borderColor: INK.ink,
    });
  }

  /** A heading with its rule; kept with at least `keep` points of what follows. */
  heading(text: string, keep = 60): void {
    this.y += 8;
    this.need(STYLES.heading.lead + keep);
    this.put(text, { x: this.left, y: this.y, style: STYLES.heading });
    this.y += STYLES.heading.lead;
    this.rule(1, INK.ink);
    this.y += 5;
  }

  /** Rows of a table under their heads; `shares` are the widths of the columns. Turns the page between rows. */
  table(
    heads: string[],
    rows: string[][],
    { shares, style = STYLES.text }: { shares: number[]; style?: Style },
  ): void {
    const total = shares.reduce((sum, s) => sum + s, 0);
    const widths = shares.map((s) => (s / total) * this.width);
    const xs = widths.map((_, i) => this.left + widths.slice(0, i).reduce((sum, w) => sum + w, 0));
    const line = (cells: string[], as: Style) => {
      const wrapped = cells.map((cell, i) => this.wrap(cell, (widths[i] ?? 0) - 6, as));
      const height = Math.max(1, ...wrapped.map((w) => w.length)) * as.lead + 3;
      this.need(height);
      wrapped.forEach((texts, i) =>
        texts.forEach((text, n) =>
          this.put(text, { x: xs[i] ?? 0, y: this.y + n * as.lead, style: as }),
        ),
      );
      this.y += height;
      this.rule();
      this.y += 2;
    };
    line(heads, STYLES.label);
    for (const row of rows) line(row, style);
  }

  /** Page numbers and the word that is on every page. */
  finish(foot: string): void {
    const pages = this.doc.getPages();
    pages.forEach((page, i) => {
      this.page = page;
      const y = this.size[1] - MARGIN - 14;
      this.put(`${i + 1} of ${pages.length}`, {
        x: this.right,
        y,
        style: STYLES.label,
        align: 'right',
      });
      this.wrap(foot, this.width - 60, STYLES.label).forEach((line, n) =>
        this.put(line, { x: this.left, y: y + n * STYLES.label.lead, style: STYLES.label }),
      );
    });
  }
}
