import { act, fireEvent, screen, within } from '@testing-library/react';
import { World } from '@kotiva/core/testing/world';
import { alerts, tap } from '@/testing/hands.ts';
import { inHouse } from '@/testing/in-house.tsx';
import { CaptureLine } from './capture-line.tsx';
import { useCaptureHere } from './context.tsx';
import { t } from '@/words';

beforeEach(() => localStorage.clear());

/** A Tuesday, noon. */
function house() {
  const w = new World();
  w.join('Leila', 'helper');
  w.join('Petri', 'member');
  w.list('Aino', 'Accounts');
  return w;
}
const line = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: t('capture.line') });
const write = (words: string) => fireEvent.change(line(), { target: { value: words } });
const enter = () => fireEvent.keyDown(line(), { key: 'Enter' });
const items = (w: World) => w.rows.all('item').map(({ title }) => title);
const open = (w: World) => inHouse(w, 'Aino', <CaptureLine />);

test('what is understood is shown as it is typed; one chip taken back leaves its words in the title', () => {
  const w = house();
  open(w);
  write('Order 40 candles by Friday 15 min #shop');
  const chips = () => within(screen.getByRole('group', { name: t('capture.understood') }));
  expect(chips().getAllByRole('button')).toHaveLength(3);
  fireEvent.click(chips().getByRole('button', { name: /15 min/ }));
  enter();
  expect(w.rows.all('item')).toMatchObject([{ title: 'Order 40 candles 15 min', due: '2026-11-27', effort: null }]);
  expect(line().value).toBe('');
});

test('a day that is no such weekday is asked about first, and what was typed stays', () => {
  const w = house();
  open(w);
  write('Chimney sweep on Monday 2 December');
  enter();
  expect(alerts()).toEqual(['One question first.']);
  expect(items(w)).toEqual([]);
  expect(line().value).toBe('Chimney sweep on Monday 2 December');
  tap(/^(Wed )?2 Dec/);
  enter();
  expect(w.rows.all('item')).toMatchObject([{ title: 'Chimney sweep' }]);
});

test('a name nobody has is said, and the item is added all the same', () => {
  const w = house();
  open(w);
  write('Ask @Zebedee about the boat ');
  expect(screen.getByText('Nobody here is called “Zebedee”; it stays in the title.')).toBeTruthy();
  enter();
  expect(items(w)).toEqual(['Ask @Zebedee about the boat']);
});

test('handed over in a list they can’t open: first it is said what they see', () => {
  const w = house();
  open(w);
  write('Pay the sweep @Leila *Accounts');
  write('Pay the sweep @Leila');
  enter();
  const [item] = w.rows.all('item');
  expect(item).toMatchObject({ title: 'Pay the sweep', listId: null });
  expect(w.part(item!.id, 'Leila').standing).toBe('needs-action');
});

test('what stands below the first line are its notes', () => {
  const w = house();
  open(w);
  write('Call the workshop\nAsk for Raimo\nBefore noon');
  enter();
  expect(w.rows.all('item')).toMatchObject([{ title: 'Call the workshop', notes: 'Ask for Raimo\nBefore noon' }]);
});

test('an overlong line says so and stays typed; nothing typed adds nothing', () => {
  const w = house();
  open(w);
  write('   ');
  enter();
  write('x'.repeat(501));
  enter();
  expect(alerts()).toEqual(['That’s too long: at most 500 characters.']);
  expect(line().value).toHaveLength(501);
  expect(items(w)).toEqual([]);
});

test('everyone is who can open the list, without oneself, and said by name before it goes', () => {
  const w = house();
  w.list('Aino', 'Boathouse', [['Leila', 'check']]);
  open(w);
  write('Boathouse: sign the fire plan everyone');
  expect(screen.getByText('Everyone here: Leila.')).toBeTruthy();
  enter();
  const item = w.rows.all('item').find(({ title }) => title === 'sign the fire plan')!;
  const handed = w.rows.by('part', 'itemId', item.id).flatMap(({ personId }) => (personId === null ? [] : [personId]));
  expect(handed).toEqual([w.person('Leila')]);
  write('Accounts: sum up everyone');
  expect(screen.getByText(t('capture.everyoneIsNobody'))).toBeTruthy();
  write('Sweep the yard everyone');
  expect(screen.getByText('Everyone here: Leila and Petri.')).toBeTruthy();
});

test('the day the screen is about can be let go, and stays let go for the next lines', () => {
  const w = house();
  function Today() {
    useCaptureHere({ plan: '2026-11-24', words: 'For today. Press Enter to add.' });
    return <CaptureLine />;
  }
  inHouse(w, 'Aino', <Today />);
  const planOf = (title: string) =>
    w.rows.by('part', 'itemId', w.rows.all('item').find((item) => item.title === title)!.id).find(({ plan }) => plan)?.plan ?? null;
  write('Sweep the porch');
  enter();
  expect(planOf('Sweep the porch')).toBe('2026-11-24');
  write('Think about the jetty');
  tap('Not “for today”');
  enter();
  write('And about the roof');
  enter();
  expect([planOf('Think about the jetty'), planOf('And about the roof')]).toEqual([null, null]);
  write('Rake');
  tap('for today');
  enter();
  expect(planOf('Rake')).toBe('2026-11-24');
});

test('more than fits is said, and what was there stays', () => {
  const w = house();
  open(w);
  write('Oars');
  fireEvent.paste(line(), { clipboardData: { getData: () => 'x'.repeat(1_000_000) } });
  expect(alerts()).toEqual(['That’s more than fits: at most 20000 characters. What you had is kept; shorten what you paste.']);
  expect(line().value).toBe('Oars');
  fireEvent.paste(line(), { clipboardData: { getData: () => 'Oar\n'.repeat(25_000) } });
  expect(alerts()).toEqual(['That’s too much at once: at most 20000 lines. Paste part of it first.']);
  write('Two oars');
  expect(alerts()).toEqual([]);
});

test('somebody unknown is added by name or invited from the line, and the words stay', () => {
  const w = house();
  open(w);
  write('@Kaisa mend the net ');
  tap('Invite Kaisa');
  tap(t('invite.makeLink'));
  expect(screen.getByDisplayValue(/\/join\//)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: t('common.close') }));
  expect(line().value).toBe('@Kaisa mend the net ');
  tap('Add Kaisa without an account');
  expect(line().value).toBe('@Kaisa mend the net ');
  enter();
  expect(w.rows.all('item')).toMatchObject([{ title: 'mend the net' }]);
  expect(w.part(w.rows.all('item')[0]!.id, 'Kaisa').standing).toBe('needs-action');
});

describe('spoken', () => {
  /** A browser that hears what it is told. */
  class Hearing {
    static last: Hearing;
    onresult: ((event: unknown) => void) | null = null;
    onerror: ((event: unknown) => void) | null = null;
    onend: (() => void) | null = null;
    constructor() {
      Hearing.last = this;
    }
    start() {}
    abort() {
      this.onerror?.({ error: 'aborted' });
      this.onend?.();
    }
  }
  const browser = globalThis as { webkitSpeechRecognition?: unknown };
  beforeEach(() => (browser.webkitSpeechRecognition = Hearing));
  afterEach(() => delete browser.webkitSpeechRecognition);
  const hear = (words: string) => act(() => Hearing.last.onresult!({ results: [[{ transcript: words }]] }));
  const pause = () => act(() => Hearing.last.onend!());

  test('a pause adds it, without the word that ends it, into the list it names', () => {
    const w = house();
    open(w);
    tap(t('speech.start'));
    hear('pay the miller by Friday');
    expect(items(w)).toEqual([]);
    hear('pay the miller by Friday to accounts add');
    pause();
    const accounts = w.rows.all('list').find(({ name }) => name === 'Accounts')!.id;
    expect(w.rows.all('item')).toMatchObject([{ title: 'pay the miller', due: '2026-11-27', listId: accounts }]);
    expect(line().value).toBe('');
  });

  test('stopped by hand it stays in the line to be looked at', () => {
    const w = house();
    open(w);
    tap(t('speech.start'));
    hear('pay the miller');
    tap(t('speech.stop'));
    expect(items(w)).toEqual([]);
    expect(line().value).toBe('pay the miller');
  });

  test('what has to be asked first is asked, and nothing is lost', () => {
    const w = house();
    open(w);
    tap(t('speech.start'));
    hear('chimney sweep on Monday 2 December');
    pause();
    expect(alerts()).toEqual(['One question first.']);
    expect(line().value).toBe('chimney sweep on Monday 2 December');
    expect(items(w)).toEqual([]);
  });
});
