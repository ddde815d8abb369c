// Prints a free port of the loopback: the wanted one where nobody has it, else any.
// usage: node port.mjs WANTED     0: any
import { createServer } from 'node:net';

const take = (port) => {
  const server = createServer();
  server.once('error', () => take(0));
  server.listen(port, '127.0.0.1', () => {
    console.log(server.address().port);
    server.close();
  });
};
take(Number(process.argv[2]));
