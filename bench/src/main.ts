import { photoSecondDevice } from './files.ts';
import { find10k, findServer } from './find.ts';
import { crowd, growth } from './growth.ts';
import { lookBack20k } from './looking-back.ts';
import { fanout, timerDrift, weave } from './following.ts';
import { firstLoad, scrollFps } from './browser.ts';
import { errandRoundMs, geofenceFixesPerSecond } from './places.ts';
import { captureParse, fitsNowMs, nudgePlan, today10k, filter10k } from './planning.ts';
import { nextAfter20Years, occurrencesPerSecond } from './recurrence.ts';
import { calendarMonth } from './calendar.ts';
import { shareOutMs } from './sharing-out.ts';
import { startDemo } from './server.ts';
import { commandsPerSecond } from './storage.ts';
import { unbrokenMs } from './unbroken.ts';
import { checkoffAck, propagation } from './wire.ts';

const demo = await startDemo();
try {
  await checkoffAck(demo.base);
  await propagation(demo.base);
  await photoSecondDevice(demo.base);
  await fanout(demo.base);
  await timerDrift(demo.base);
  await commandsPerSecond();
  unbrokenMs();
  captureParse();
  today10k();
  filter10k();
  find10k();
  findServer();
  lookBack20k();
  fitsNowMs();
  nudgePlan();
  occurrencesPerSecond();
  nextAfter20Years();
  calendarMonth();
  await shareOutMs();
  geofenceFixesPerSecond();
  errandRoundMs();
  await firstLoad(demo.base);
  await scrollFps(demo.base);
  await weave(demo.base);
  await growth();
  await crowd();
} finally {
  demo.stop();
}
process.exit(0);
