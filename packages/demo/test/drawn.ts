import {
  drawSection,
  layersText,
  serviceText,
  type Drawing,
  type FamilyId,
  type Fill,
  type Plan,
  type Point,
  type Prim,
  type Survey,
  type UnitSystem,
} from '@kelmot/core';

/** A drawing's position on its sheet. */
interface Placed {
  x: number;
  y: number;
  drawing: Drawing;
}

/** A different colour for each fill; the application uses hatches. */
const COLOURS: Partial<Record<Fill, string>> = {
  sand: '#e8d8a8',
  planned: '#d7e6f5',
  unknown: '#f0f0f0',
  wet: '#7fb2e5',
  set: '#5c9a6b',
};
const PARENT = '#c9c9c9';
const GAP = 24;

const px = (x: number): string => String(Math.round(x));
const pair = ([x, y]: Point): string => `${px(x)},${px(y)}`;
const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');
const path = (points: readonly Point[]): string => points.map(pair).join(' ');

function lettered(p: Extract<Prim, { text: string }>, as: string): string {
  const [x, y] = p.at;
  return `<text class="${as}" x="${px(x)}" y="${px(y)}" text-anchor="${p.anchor}">${escaped(p.text)}</text>`;
}

/** One line for each drawing element. */
function svgOf(p: Prim): string {
  if (p.kind === 'area')
    return `<polygon class="${p.fill}" fill="${COLOURS[p.fill] ?? PARENT}" points="${path(p.points)}"/>`;
  if (p.kind === 'line')
    return `<polyline class="${p.style}" fill="none" stroke="#222" points="${path(p.points)}"/>`;
  if (p.kind === 'flow')
    return `<circle class="flow" r="3" cx="${px(p.at[0])}" cy="${px(p.at[1])}"/>`;
  if (p.kind === 'note') return lettered(p, `note ${p.tone}`);
  const led = `<polyline class="${p.kind}" stroke="#888" points="${path([p.from, p.to])}"/>`;
  return `${led}${lettered(p, p.kind === 'leader' ? `leader ${p.tone}` : 'dim')}`;
}

function block({ x, y, drawing }: Placed): string {
  const { width, height, prims, title, describe } = drawing;
  return [
    `<g transform="translate(${x} ${y})">`,
    `<desc>${escaped(describe)} ${escaped(title.map((t) => `${t.key}: ${t.value}`).join(', '))}</desc>`,
    `<rect width="${width}" height="${height}" fill="#fff" stroke="#ddd"/>`,
    ...prims.map(svgOf),
    '</g>',
  ].join('\n');
}

/** Drawings on one sheet, one row for each list, as a picture to look at and a text to compare. */
export function sheetOf(rows: readonly (readonly Drawing[])[]): string {
  let [y, wide] = [GAP, 0];
  const placed = rows.flatMap((row) => {
    let x = GAP;
    const own = row.map((drawing): Placed => {
      const at = { x, y, drawing };
      x += drawing.width + GAP;
      return at;
    });
    wide = Math.max(wide, x);
    y += Math.max(...row.map((d) => d.height)) + GAP;
    return own;
  });
  const frame = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${wide} ${y}" font-family="sans-serif" font-size="14">`;
  return `${[frame, ...placed.map(block), '</svg>'].join('\n')}\n`;
}

/** A damage as the application draws it: tile, survey, plan, and as built, in inches. */
export function drawingsOf(family: FamilyId, survey: Survey, plan: Plan | null): Drawing[] {
  const [damage] = survey.damages;
  if (!damage) throw new Error(`${family}: nothing is damaged`);
  const plain = {
    ...{ tag: survey.asset.tag, material: survey.parent.material, medium: null },
    ...{ layers: [], edgeMm: null, label: null, dimensions: true, unknown: [] },
  };
  const built = (system: UnitSystem) => ({
    ...plain,
    system,
    medium: serviceText(survey, system),
    edgeMm: plan?.card.layer.minEdgeMm ?? 3,
    label: plan ? layersText(plan) : 'R-100',
    plan: plan ?? undefined,
  });
  const draw = (size: [number, number], more: object) =>
    drawSection(family, damage, {
      ...{ width: size[0], height: size[1], system: 'metric', ...plain, ...more },
    });
  return [
    draw([152, 84], { dimensions: false }),
    draw([358, 230], {}),
    draw([358, 230], { unknown: Object.keys(damage) }),
    draw([640, 300], { ...built('metric'), layers: ['planned', 'planned'] }),
    draw([640, 260], { ...built('us'), layers: ['set', 'wet'] }),
  ];
}
