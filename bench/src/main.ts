import { firstLoad } from './browser.ts';
import { startDemo } from './server.ts';
import { commandsPerSecond } from './storage.ts';
import { checkoffAck, propagation } from './wire.ts';

const demo = await startDemo();
try {
  await checkoffAck(demo.base);
  await propagation(demo.base);
  commandsPerSecond();
  await firstLoad(demo.base);
} finally {
  demo.stop();
}
process.exit(0);
