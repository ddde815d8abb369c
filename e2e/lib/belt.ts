import type { Screen } from './browser';

/** Types the survey of a hole in a belt. */
export async function typeBelt(
  screen: Screen,
  tag: string,
  diameter: string,
  thickness: string,
): Promise<void> {
  await screen.press('new-repair');
  await screen.type('asset-search', tag);
  await screen.press(`asset-${tag}`);
  await screen.press('shape-0-hole');
  await screen.fill([
    ['damages.0.diameterMm', diameter],
    ['damages.0.beltMm', thickness],
    ['belt.runsC', '25'],
    ['window.downMin', '12 h'],
    ['readings.airC', '20'],
    ['readings.rhPct', '50'],
    ['readings.surfaceC', '20'],
  ]);
  await screen.press('site.tools-power');
}
