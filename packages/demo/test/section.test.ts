import {
  boxOf,
  drawSection,
  families,
  layersText,
  makePlan,
  matchAll,
  rank,
  type Box,
  type Drawing,
  type Plan,
  type Point,
  type Prim,
  type Survey,
} from '@kelmot/core';
import fc from 'fast-check';
import { demoCards, siteSettings, systemCards } from '../src/index';
import { AT, surveys } from './surveys';

const CLEAR = 8;
const SLACK = 0.01;

/** The best plan of a survey, where it has one. */
function planOf(survey: Survey): Plan | null {
  const context = { library: demoCards };
  const [best] = rank(
    matchAll(survey, systemCards, { site: siteSettings, context }),
    survey.intent,
  );
  const made =
    best && makePlan(survey, best.match.card, { site: siteSettings, madeAt: AT, context });
  return made?.ok ? made.plan : null;
}

type Lettered = Extract<Prim, { text: string }>;
const isLettered = (p: Prim): p is Lettered => 'text' in p;

/** The line segments of a drawing. */
function stretches(prims: readonly Prim[]): [Point, Point][] {
  return prims.flatMap((p): [Point, Point][] => {
    if (p.kind === 'line') return p.points.slice(1).map((to, i) => [p.points[i] as Point, to]);
    return p.kind === 'dim' || p.kind === 'leader' ? [[p.from, p.to]] : [];
  });
}

/** Whether a line segment crosses a box: clipped side by side. */
function crosses([[ax, ay], [bx, by]]: [Point, Point], box: Box): boolean {
  let [from, to] = [0, 1];
  const sides: [number, number, number][] = [
    [ax, bx - ax, box.x0],
    [-ax, ax - bx, -box.x1],
    [ay, by - ay, box.y0],
    [-ay, ay - by, -box.y1],
  ];
  for (const [at, slope, least] of sides) {
    if (Math.abs(slope) < 1e-9) {
      if (at <= least) return false;
    } else {
      const t = (least - at) / slope;
      if (slope > 0) from = Math.max(from, t);
      else to = Math.min(to, t);
    }
  }
  return from < to;
}

/** The faults of a drawing's lettering. */
function faults({ prims, width, height }: Drawing): string[] {
  const texts = prims.filter(isLettered);
  const lines = stretches(prims);
  return texts.flatMap((p, i) => {
    const box = boxOf(p);
    const out =
      box.x0 < CLEAR - SLACK ||
      box.y0 < CLEAR - SLACK ||
      box.x1 > width - CLEAR + SLACK ||
      box.y1 > height - CLEAR + SLACK;
    const over = texts.slice(i + 1).filter((q) => {
      const other = boxOf(q);
      return box.x0 < other.x1 && other.x0 < box.x1 && box.y0 < other.y1 && other.y0 < box.y1;
    });
    return [
      ...(out ? [`“${p.text}” is ${JSON.stringify(box)} in ${width} × ${height}`] : []),
      ...over.map((q) => `“${p.text}” lies on “${q.text}”`),
      ...(lines.some((l) => crosses(l, box)) ? [`“${p.text}” lies on a line`] : []),
    ];
  });
}

test.each(families().map((f) => f.id))(
  '%s: no lettering leaves the frame or overlaps another or a line, at any width',
  (family) => {
    fc.assert(
      fc.property(
        surveys(family),
        fc.integer({ min: 320, max: 900 }),
        fc.integer({ min: 180, max: 420 }),
        fc.constantFrom('metric', 'us'),
        fc.constantFrom('none', 'edge', 'plan'),
        fc.constantFrom(null, 'Water, 20 °C', 'Hydrochloric acid 10 %, 60 °C'),
        (survey, width, height, system, decided, medium) => {
          if (!survey) return;
          const plan = decided === 'plan' ? planOf(survey) : null;
          for (const damage of survey.damages) {
            const drawing = drawSection(family, damage, {
              width,
              height,
              system: system as 'metric',
              tag: 'P-014',
              material: survey.parent.material,
              medium,
              layers: decided === 'none' ? [] : ['planned', 'wet'],
              edgeMm: decided === 'edge' ? 3 : (plan?.figures.minEdge?.value ?? null),
              label: plan ? layersText(plan) : null,
              dimensions: true,
              unknown: [],
              plan: plan ?? undefined,
            });
            expect(faults(drawing)).toEqual([]);
          }
        },
      ),
      { numRuns: 60, seed: 9 },
    );
  },
);

test.each([
  ['metric', 'edge square, 3'],
  ['us', 'edge square, 0.118'],
] as const)("the squared edge is in the reader's units: %s", (system, told) => {
  const drawing = drawSection(
    'F2',
    { shape: 'pocket', diameterMm: 120, depthMm: 8, wallMm: 18 },
    {
      ...{ width: 640, height: 300, system, tag: 'P-014', material: 'carbon-steel', medium: null },
      ...{ layers: ['planned'], edgeMm: 3, label: 'R-210', dimensions: true, unknown: [] },
    },
  );
  expect(drawing.prims.filter(isLettered).map((p) => p.text)).toContain(told);
});
