import { inBrowser } from './lib/inBrowser';

const [file = ''] = process.argv.slice(2);
inBrowser(file).then(
  (text) => process.stdout.write(`${text}\n`),
  (error: unknown) => {
    process.stderr.write(`${String(error)}\n`);
    process.exitCode = 1;
  },
);
