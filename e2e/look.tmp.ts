import { mkdirSync } from 'node:fs';
import { freshScreen, launch, PHONE, WIDE } from './lib/browser';
mkdirSync('/tmp/look', { recursive: true });
async function main() {
const base = 'http://127.0.0.1:4790';
const session = await launch();
for (const spec of process.argv.slice(2)) {
  const [size, name, ...acts] = spec.split('|');
  const screen = await freshScreen(session, base, size === 'wide' ? WIDE : PHONE);
  await screen.open('/');
  const as = acts.find((a) => a.startsWith('as='))?.slice(3) ?? 'ida';
  await screen.press(`demo-${as}`);
  await screen.see('new-repair');
  for (const act of acts) {
    const [verb, ...rest] = act.split('=');
    const arg = rest.join('=');
    if (verb === 'click') await screen.page.click(arg);
    if (verb === 'go') await screen.open(arg);
    if (verb === 'press') await screen.press(arg);
    if (verb === 'see') await screen.see(arg);
    if (verb === 'type') { const [id, text] = arg.split('~'); await screen.type(id, text); }
    if (verb === 'wait') await new Promise((r) => setTimeout(r, Number(arg)));
    if (verb === 'to') await screen.page.evaluate((id) => document.querySelector(`[data-testid="${id}"]`)?.scrollIntoView({ block: 'center' }), arg);
  }
  await new Promise((r) => setTimeout(r, 500));
  await screen.page.screenshot({ path: `/tmp/look/${name}.png` });
  console.log(name, screen.problems);
}
await session.close?.();
process.exit(0);

}
void main();
