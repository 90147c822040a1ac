import type { Random } from '../sync/random.ts';
import type { WalkedDevice } from './device.ts';
import type { Control, Seen } from './in-page.ts';

/** Never tapped: what ends the walk, asks the browser for something, or leaves for elsewhere. */
const NEVER =
  /sign out|for good|delete|file|photo|picture|download|upload|import|export|print|\bcsv\b|back ?up|notifications on|test notif|speak|microphone|where I am|position|leave this house|remove from this house|access key|install|demo|another house|share|mail|call|open the (?:map|address)|this device/i;

const KEYS = [
  'Tab',
  'Tab',
  'Tab',
  'Shift+Tab',
  'Escape',
  'Enter',
  'Space',
  'j',
  'j',
  'k',
  'n',
  'h',
  'd',
  'l',
  's',
  'z',
  '?',
  '/',
  '1',
  '2',
  '3',
  '4',
  '5',
  'ArrowDown',
  'ArrowUp',
  'Control+k',
];

/** A text typed somewhere: it has to be found at the end. */
export interface Typed {
  token: string;
  into: string;
}

/** One step of a hand: what it did, said so that it can be read, and which rules it broke itself. */
export interface Step {
  said: string;
  faults: string[];
  typed?: Typed;
  /** It took something back, or threw it away: texts before need not be found. */
  tookBack?: boolean;
}

/** Letters only, so that nothing in it is read as a date, an hour, a person or an amount. */
function tokenOf(random: Random): string {
  return `zq${Array.from({ length: 8 }, () => 'bcdfghklmnprstvwx'[random.below(17)]).join('')}`;
}

/** What can be tapped, each name once, so that a long list is not all there is. */
function oneOfEach(controls: readonly Control[], random: Random): Control | undefined {
  const groups = new Map<string, Control[]>();
  for (const control of controls) {
    const key = `${control.role} ${control.name.replace(/“.*”/, '').split(' ').slice(0, 2).join(' ')}`;
    groups.set(key, [...(groups.get(key) ?? []), control]);
  }
  const group = random.pick([...groups.keys()]);
  return group === undefined ? undefined : random.pick(groups.get(group)!);
}

type Way = (device: WalkedDevice, seen: Seen, random: Random) => Promise<Step>;

const tap: Way = async (device, { controls }, random) => {
  const at = oneOfEach(
    controls.filter(({ isField, name }) => !isField && !NEVER.test(name)),
    random,
  );
  if (!at) return { said: 'finds nothing to tap', faults: [] };
  await device.tapAt(at);
  return {
    said: `taps ${at.role} “${at.name}”`,
    faults: [],
    tookBack: /undo|discard|throw|remove|start|clear|dismiss|hide|archive|mark all|decline|cancel/i.test(at.name),
  };
};

/** Impatient: the second falls on whatever lies there by then. */
const tapTwice: Way = async (device, seen, random) => {
  const at = oneOfEach(
    seen.controls.filter(({ isField, name }) => !isField && !NEVER.test(name)),
    random,
  );
  if (!at) return { said: 'finds nothing to tap twice', faults: [] };
  await device.tapAt(at);
  await device.page.mouse.click(at.x, at.y);
  return { said: `taps ${at.role} “${at.name}” twice`, faults: [], tookBack: true };
};

const type: Way = async (device, { controls }, random) => {
  const { page } = device;
  const field = oneOfEach(
    controls.filter(({ isField, name }) => isField && !/password|mail|link|address|web|Find a person|Search items|Type a command/i.test(name)),
    random,
  );
  if (!field) return { said: 'finds no field', faults: [] };
  await device.tapAt(field);
  const token = tokenOf(random);
  const enter = random.chance(0.6);
  await page.keyboard.press('End');
  await page.keyboard.type(` ${token}`);
  if (enter) await page.keyboard.press('Enter');
  return {
    said: `types ${token} into “${field.name}”${enter ? ' and Enter' : ''}`,
    faults: [],
    ...(field.isPassing ? {} : { typed: { token, into: field.name } }),
  };
};

const press: Way = async (device, { hasFocus }, random) => {
  const key = random.pick(KEYS)!;
  await device.page.keyboard.press(key);
  await device.idle();
  const after = await device.see();
  // past the last there are the bars of the browser
  const lost = hasFocus && !after.hasFocus && !key.endsWith('Tab') ? [`after ${key} focus is nowhere`] : [];
  return { said: `presses ${key}`, faults: lost, tookBack: key === 'z' };
};

const itemOf = ({ address }: Seen): string | null => new URLSearchParams(address.split('?')[1]).get('item');

const back: Way = async (device, before) => {
  const { page } = device;
  // what lies before Kotiva is not walked into, unless an open layer should keep from it
  const canGo = await page.evaluate(() => {
    const { navigation } = window as unknown as { navigation: { entries(): { url: string | null }[]; currentEntry: { index: number } } };
    return navigation
      .entries()
      .slice(0, navigation.currentEntry.index)
      .some(({ url }) => url?.startsWith(window.location.origin) && url !== window.location.href);
  });
  if (!canGo && before.layers === 0) return { said: 'is at the first page', faults: [] };
  // by the page's own hand, so that it is known when it has come
  await page.evaluate(() => window.history.back());
  await device.idle();
  const after = await device.see().catch(() => null);
  if (!after) return { said: 'goes back', faults: ['Back left Kotiva'] };
  const pathOf = ({ address }: Seen) => address.replace(/\?.*/, '');
  const faults: string[] = [];
  // from a step's sheet back to that of what it is a step of
  const isOther = after.layers === before.layers && itemOf(after) !== null && itemOf(after) !== itemOf(before);
  if (before.layers > 0 && !isOther && after.layers !== before.layers - 1)
    faults.push(`Back closed ${before.layers - after.layers} layers of ${before.layers}`);
  if (before.layers > 0 && pathOf(after) !== pathOf(before)) faults.push(`Back with a layer open went from ${before.address} to ${after.address}`);
  return { said: `goes back, from ${before.address} to ${after.address}`, faults };
};

const forward: Way = async (device) => {
  // what was opened anew in between is another document, which comes when it comes
  const isAhead = await device.page.evaluate(() => {
    const { navigation } = window as unknown as { navigation: { entries(): { sameDocument: boolean }[]; currentEntry: { index: number } } };
    return navigation.entries()[navigation.currentEntry.index + 1]?.sameDocument === true;
  });
  if (!isAhead) return { said: 'has nothing to go forward to', faults: [] };
  await device.page.evaluate(() => window.history.forward());
  await device.idle();
  const { address } = await device.see();
  return { said: `goes forward, to ${address}`, faults: [] };
};

const beside: Way = async (device, before) => {
  if (!before.beside) return { said: 'has nothing to tap beside', faults: [] };
  await device.tapAt(before.beside);
  await device.idle();
  const after = await device.see();
  const faults = after.layers === before.layers - 1 ? [] : [`a tap beside closed ${before.layers - after.layers} layers of ${before.layers}`];
  return { said: 'taps beside the sheet', faults };
};

const turn: Way = async ({ page }) => {
  const { width, height } = page.viewportSize()!;
  await page.setViewportSize(width > 1000 ? { width: width === 1280 ? 1024 : 1280, height } : { width: height, height: width });
  return { said: `turns to ${page.viewportSize()!.width} × ${page.viewportSize()!.height}`, faults: [] };
};

const reopen: Way = async ({ page }) => {
  // going to where one is, with a sheet in the address, is no reload
  await page.reload();
  await page.getByRole('navigation').waitFor();
  return { said: 'closes Kotiva and opens it again', faults: [] };
};

const scroll: Way = async ({ page }, _, random) => {
  const { width, height } = page.viewportSize()!;
  await page.mouse.move(width / 2, height / 2);
  await page.mouse.wheel(0, random.chance(0.7) ? 500 : -500);
  return { said: 'scrolls', faults: [] };
};

const WAYS: [weight: number, way: Way][] = [
  [50, tap],
  [16, type],
  [14, press],
  [4, tapTwice],
  [7, back],
  [2, forward],
  [4, beside],
  [2, turn],
  [2, reopen],
  [5, scroll],
];

/** One thing a hand does, by chance. */
export async function stepOf(device: WalkedDevice, seen: Seen, random: Random): Promise<Step> {
  let at = random.below(WAYS.reduce((sum, [weight]) => sum + weight, 0));
  for (const [weight, way] of WAYS) {
    if (at < weight) return way(device, seen, random);
    at -= weight;
  }
  throw new Error('weights do not add up');
}
