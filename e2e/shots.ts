import { mkdirSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { freshScreen, launch, PHONE, WIDE, type Screen } from './lib/browser';

const base = process.argv[2] ?? 'http://127.0.0.1:4700';
const folder = 'docs/screenshots';

async function shoot(screen: Screen, name: string): Promise<void> {
  await sleep(1200);
  await screen.page.evaluate(() =>
    document.querySelectorAll('[data-testid^="screen-"]').forEach((e) => e.scrollTo(0, 0)),
  );
  await screen.page.screenshot({ path: `${folder}/${name}.png` });
}

async function phone(screen: Screen): Promise<void> {
  await shoot(screen, 'bench');
  await screen.press('bench-P-204');
  await shoot(screen, 'run');
  for (const station of ['mix', 'prep', 'match']) {
    await screen.press(`station-${station}`);
    await screen.see(`screen-${station}`);
    await shoot(screen, station);
  }
  await screen.press('back');
  await screen.press('tab-repairs');
  await shoot(screen, 'repairs');
  await screen.press('repair-SU-1');
  await screen.press('station-cure');
  await screen.press('read-logger');
  await screen.press('instrument-take');
  await screen.matches('cure-learnt', /planned/);
  await screen.page.$eval('[data-testid="cure-trace"]', (e) =>
    e.scrollIntoView({ block: 'center' }),
  );
  await shoot(screen, 'cure');
  await screen.press('back');
  await screen.press('tab-repairs');
  await screen.press('repair-P-012');
  await screen.press('station-accept');
  await shoot(screen, 'accept');
  await screen.press('back');
  await screen.press('tab-store');
  await screen.press('card-R-210');
  await shoot(screen, 'store');
  await screen.press('new-repair');
  await screen.type('asset-search', 'P-014');
  await screen.press('asset-P-014');
  await screen.press('shape-0-seat');
  await screen.type('damages.0.finishedDiameterMm', '3 1/4 in');
  await screen.type('damages.0.wornDiameterMm', '79.4');
  await screen.type('damages.0.lengthMm', '48');
  await shoot(screen, 'survey');
}

async function main(): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const session = await launch();
  const small = await freshScreen(session, base, PHONE);
  await small.open('/');
  await small.press('demo-ida');
  await small.see('bench-P-204');
  await phone(small);
  await small.open('/repairs');
  await small.press('repair-WL-2');
  await small.press('station-match');
  await small.see('refusal');
  await shoot(small, 'refused');
  await small.open('/repairs');
  await small.press('repair-JP-31');
  await small.press('station-prep');
  await small.press('to-papers');
  await small.see('paper-a4');
  await shoot(small, 'papers');
  await small.open('/know-how/bolt-sequence');
  await shoot(small, 'tool');

  const night = await freshScreen(session, base, PHONE);
  await night.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  await night.open('/');
  await night.press('demo-ida');
  await night.see('bench-P-204');
  await shoot(night, 'bench-night');

  const wide = await freshScreen(session, base, WIDE);
  await wide.open('/');
  await wide.press('demo-tomas');
  await wide.press('register-P-204');
  await wide.see('screen-build');
  await wide.press('figure-coat');
  await shoot(wide, 'wide');
  await wide.key('2');
  await shoot(wide, 'wide-match');
  await wide.press('register-SG-2');
  await wide.key('2');
  await wide.press('compare-X-870');
  await wide.press('compare-R-215');
  await wide.see('compare');
  await wide.page.$eval('[data-testid="compare"]', (e) => e.scrollIntoView({ block: 'start' }));
  await shoot(wide, 'wide-compare');
  await wide.open('/repairs');
  await wide.page.hover('[data-testid="repair-JP-31"]');
  await shoot(wide, 'wide-repairs');
  await wide.open('/know-how/exotherm');
  await wide.see('chart-exotherm');
  await shoot(wide, 'wide-tool');
  await session.close();
}

void main();
