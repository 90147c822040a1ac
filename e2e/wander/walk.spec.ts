import { expect, type TestInfo } from '@playwright/test';
import { enterDemo, PHONE, test, WIDE, type Devices, type RunningKotiva } from '../journeys/house.ts';
import { Random } from '../sync/random.ts';
import { WalkedDevice } from './device.ts';
import { stepOf, type Typed } from './walk.ts';

/**
 * Two people of the demo house, one with a phone and one on a wide screen, tap, type and press keys at random, one at a time. After each step
 * the rules of the hand are tried; in the end both devices hold what the server has, and nothing that was typed is lost.
 */

const FIRST = Number(process.env['WANDER_FROM'] ?? 1);
const SEEDS = Number(process.env['WANDER_SEEDS'] ?? 12);
const STEPS = Number(process.env['WANDER_STEPS'] ?? 40);
const PEOPLE = ['Aino', 'Petri', 'Leila', 'Oona'];

for (let seed = FIRST; seed < FIRST + SEEDS; seed++)
  test(`a walk of ${STEPS} steps, seed ${seed}`, async ({ demo, devices }, info) => {
    await walk(seed, demo, devices, info);
  });

async function walk(seed: number, demo: RunningKotiva, devices: Devices, info: TestInfo): Promise<void> {
  const random = new Random(seed);
  const hands = await twoHands(random, demo, devices);
  const report = new Report(seed);
  let typed: (Typed & { by: WalkedDevice })[] = [];
  for (let nth = 0; nth < STEPS; nth++) {
    const hand = hands[random.below(2)]!;
    await cameToRest(hands, report);
    const step = await stepOf(hand, await hand.see(), random);
    report.did(`${hand.who} ${step.said}`);
    const rested = await hand.idle();
    const isNew = report.found([...step.faults, ...(await hand.see()).faults, ...hand.errors.splice(0), ...(rested ? [] : ['it does not come to rest'])]);
    if (isNew) await hand.page.screenshot({ path: info.outputPath(`step-${nth + 1}.png`) });
    if (step.tookBack) typed = [];
    if (step.typed) typed.push({ ...step.typed, by: hand });
  }
  await cameToRest(hands, report);
  const texts = typed.map(({ token }) => token);
  const compared = await Promise.all(hands.map((hand) => hand.compare(texts)));
  for (const [nth, { differing }] of compared.entries()) report.found(differing.slice(0, 5).map((key) => `${hands[nth]!.who} lacks, or has otherwise, ${key}`));
  const found = new Set(compared.flatMap((one) => one.found));
  report.found(typed.filter(({ token }) => !found.has(token)).map(({ token, into, by }) => `${token}, typed into “${into}” by ${by.who}, is lost`));
  report.end();
}

/** What was done, and what broke a rule when. */
class Report {
  private readonly steps: string[] = [];
  private readonly faults = new Map<string, number>();

  constructor(private readonly seed: number) {}

  did(step: string): void {
    this.steps.push(step);
  }

  /** Each is told once, with the step it came with. Says whether one is new. */
  found(faults: readonly string[]): boolean {
    const before = this.faults.size;
    for (const fault of faults) if (!this.faults.has(fault)) this.faults.set(fault, this.steps.length);
    return this.faults.size > before;
  }

  /** Fails with all that was found, and the steps that led there. */
  end(): void {
    if (this.faults.size === 0) return;
    const found = [...this.faults].map(([fault, step]) => `  at step ${step}: ${fault}`);
    throw new Error([`seed ${this.seed} broke:`, ...found, 'Steps:', ...this.steps.map((step, nth) => `  ${nth + 1}. ${step}`)].join('\n'));
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

/** Until nothing waits to be sent and each device is as far as the other. */
async function cameToRest(hands: readonly WalkedDevice[], report: Report): Promise<void> {
  let last = '';
  await expect
    .poll(
      async () => {
        for (const hand of hands) await hand.idle();
        const at = await Promise.all(hands.map((hand) => hand.progress()));
        last = JSON.stringify(at);
        return at.every(({ waiting, cursor }) => waiting === 0 && cursor === at[0]!.cursor);
      },
      { timeout: 20_000, intervals: [0, 20, 50, 100] },
    )
    .toBe(true)
    .catch(() => {
      report.found([`the devices don’t come to rest: ${last}`]);
      report.end();
    });
}
