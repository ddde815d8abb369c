import { mixedBatches, type RepairPage, type RepairRow } from '@kelmot/contract';
import { nextAction } from '@kelmot/core';
import type { HTTPRequest, Page } from 'puppeteer-core';

const OPEN = /\/api\/repairs\?status=open/;
const ONE = /\/api\/repairs\/([0-9a-f-]{36})$/;
/** Whether one of its clocks runs on the bench. */
const runs = ({ status, summary, mixes }: RepairRow) =>
  status === 'open' &&
  summary !== null &&
  typeof nextAction(summary, mixedBatches(mixes), { now: Date.now(), zone: 'UTC' })?.clockTo ===
    'number';

/** Shows copies of every running repair, each with its own id, until so many clocks run on the bench. */
export async function manyClocks(page: Page, clocks: number): Promise<void> {
  const originals = new Map<string, string>();
  const again = (row: RepairRow, n: number): RepairRow => {
    const id = row.id.slice(0, -2) + n.toString(16).padStart(2, '0');
    originals.set(id, row.id);
    return { ...row, id, tag: `${row.tag}.${n}` };
  };
  const asked = async (request: HTTPRequest, url = request.url()): Promise<string> => {
    const cookies = await page.browserContext().cookies();
    const cookie = cookies.map((c) => `${c.name}=${c.value}`).join('; ');
    return (await fetch(url, { headers: { cookie } })).text();
  };
  const answer = async (request: HTTPRequest): Promise<void> => {
    const json = (body: string) =>
      request.respond({ status: 200, contentType: 'application/json', body });
    const [, id] = ONE.exec(request.url()) ?? [];
    const original = id && originals.get(id);
    if (original)
      return json(
        (await asked(request, request.url().replace(id, original))).replaceAll(original, id),
      );
    if (!OPEN.test(request.url())) return request.continue();
    const body = JSON.parse(await asked(request)) as RepairPage;
    const running = body.rows.filter(runs);
    const more = Array.from({ length: clocks - running.length }, (_, n) =>
      again(running[n % running.length] as RepairRow, n),
    );
    return json(JSON.stringify({ ...body, rows: [...body.rows, ...more] }));
  };
  await page.setRequestInterception(true);
  page.on('request', (request) => void answer(request).catch(() => request.abort()));
}
