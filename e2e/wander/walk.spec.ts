import { expect, type TestInfo } from '@playwright/test';
import { rmSync } from 'node:fs';
import { enterDemo, PHONE, RunningKotiva, test as journey, WIDE, type Devices } from '../journeys/house.ts';
import { Random } from '../sync/random.ts';
import { WalkedDevice } from './device.ts';
import { stepOf, type Typed } from './walk.ts';

/**
 * Two people of the demo house, one with a phone and one on a wide screen, tap, type and press keys at random, one at a time. After each step
 * the rules of the hand are tried; in the end both devices hold what the server has, and nothing that was typed is lost. What breaks is
 * walked a second time, so that it is known whether the seed alone brings it.
 */

const FIRST = Number(process.env['WANDER_FROM'] ?? 1);
const SEEDS = Number(process.env['WANDER_SEEDS'] ?? 6);
const STEPS = Number(process.env['WANDER_STEPS'] ?? 40);
const PEOPLE = ['Aino', 'Petri', 'Leila', 'Oona'];
/** The same day for every walk, whenever it is walked: a Tuesday of the week that is an hour short. */
const BEGIN = '2027-03-23T10:05:00.000Z';

const test = journey.extend<object, { filled: string }>({
  filled: [
    async ({}, use) => {
      const running = await RunningKotiva.start('demo', { begin: BEGIN });
      await running.kill();
      await use(running.data);
      rmSync(running.data, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
});

for (let seed = FIRST; seed < FIRST + SEEDS; seed++)
  test(`a walk of ${STEPS} steps, seed ${seed}`, async ({ filled, devices }, info) => {
    const first = await walk(seed, filled, devices, info);
    if (first.isClean) return;
    const second = await walk(seed, filled, devices, info);
    throw new Error([`seed ${seed} broke:`, first.told, second.isClean ? 'Walked again it broke nothing.' : `Walked again:\n${second.told}`].join('\n'));
  });

async function walk(seed: number, filled: string, devices: Devices, info: TestInfo): Promise<Report> {
  const random = new Random(seed);
  const demo = await RunningKotiva.start('demo', { from: filled });
  const hands = await twoHands(random, demo, devices);
  const report = new Report();
  try {
    await stepByStep(hands, random, report, info);
  } finally {
    for (const { page } of hands) await page.close();
    await demo.stop();
  }
  return report;
}

async function stepByStep(hands: WalkedDevice[], random: Random, report: Report, info: TestInfo): Promise<void> {
  let typed: (Typed & { by: WalkedDevice })[] = [];
  for (let nth = 0; nth < STEPS; nth++) {
    const hand = hands[random.below(2)]!;
    if (!(await cameToRest(hands, report))) return;
    const step = await stepOf(hand, await hand.see(), random);
    report.did(`${hand.who} ${step.said}`);
    const rested = await hand.idle();
    const isNew = report.found([...step.faults, ...(await hand.see()).faults, ...hand.errors.splice(0), ...(rested ? [] : ['it does not come to rest'])]);
    if (isNew) await hand.page.screenshot({ path: info.outputPath(`step-${nth + 1}.png`) });
    if (step.tookBack) typed = [];
    if (step.typed) typed.push({ ...step.typed, by: hand });
  }
  if (!(await cameToRest(hands, report))) return;
  const texts = typed.map(({ token }) => token);
  let compared = await Promise.all(hands.map((hand) => hand.compare(texts)));
  // the house goes on by itself: what it did just then is on its way
  if (compared.some(({ differing }) => differing.length > 0) && (await cameToRest(hands, report)))
    compared = await Promise.all(hands.map((hand) => hand.compare(texts)));
  for (const [nth, { differing }] of compared.entries()) report.found(differing.slice(0, 5).map((key) => `${hands[nth]!.who} lacks, or has otherwise, ${key}`));
  const found = new Set(compared.flatMap((one) => one.found));
  report.found(typed.filter(({ token }) => !found.has(token)).map(({ token, into, by }) => `${token}, typed into “${into}” by ${by.who}, is lost`));
}

/** What was done, and what broke a rule when. */
class Report {
  private readonly steps: string[] = [];
  private readonly faults = new Map<string, number>();

  did(step: string): void {
    this.steps.push(step);
  }

  /** Each is told once, with the step it came with. Says whether one is new. */
  found(faults: readonly string[]): boolean {
    const before = this.faults.size;
    for (const fault of faults) if (!this.faults.has(fault)) this.faults.set(fault, this.steps.length);
    return this.faults.size > before;
  }

  get isClean(): boolean {
    return this.faults.size === 0;
  }

  /** All that was found, and the steps that led there. */
  get told(): string {
    const found = [...this.faults].map(([fault, step]) => `  at step ${step}: ${fault}`);
    return [...found, 'Steps:', ...this.steps.map((step, nth) => `  ${nth + 1}. ${step}`)].join('\n');
  }
}

/** Two of the house, one with a phone and one on a wide screen. */
async function twoHands(random: Random, demo: RunningKotiva, devices: Devices): Promise<WalkedDevice[]> {
  const first = random.below(PEOPLE.length);
  const second = (first + 1 + random.below(PEOPLE.length - 1)) % PEOPLE.length;
  const hands: WalkedDevice[] = [];
  for (const [name, size] of [
    [PEOPLE[first]!, PHONE],
    [PEOPLE[second]!, WIDE],
  ] as const) {
    const page = await devices.open(size, { dark: random.chance(0.3) });
    hands.push(await WalkedDevice.of(`${name} (${size === PHONE ? 'phone' : 'wide'})`, page));
    await enterDemo(page, demo, name);
  }
  return hands;
}

/** Until nothing waits to be sent and each device is as far as the other. Says whether that came. */
async function cameToRest(hands: readonly WalkedDevice[], report: Report): Promise<boolean> {
  let last = '';
  const areEven = async (): Promise<boolean> => {
    for (const hand of hands) await hand.idle();
    const at = await Promise.all(hands.map((hand) => hand.progress()));
    last = JSON.stringify(at);
    return at.every(({ waiting, cursor }) => waiting === 0 && cursor === at[0]!.cursor);
  };
  try {
    await expect.poll(areEven, { timeout: 20_000, intervals: [0, 20, 50, 100] }).toBe(true);
    return true;
  } catch {
    report.found([`the devices don’t come to rest: ${last}`]);
    return false;
  }
}
