/** What the walker asks of a page. Runs in the page before its own code: nothing from outside this function is there. */

export interface Control {
  role: string;
  name: string;
  x: number;
  y: number;
  isField: boolean;
  /** A field for numbers, dates or a search: what is typed there need not be found again. */
  isPassing: boolean;
}

export interface Seen {
  controls: Control[];
  /** What breaks a rule of the hand, in words. */
  faults: string[];
  /** How many layers lie over the page. */
  layers: number;
  address: string;
  hasFocus: boolean;
  /** A point beside an open sheet. */
  beside: { x: number; y: number } | null;
}

export interface InPage {
  /** Resolves once no timer is about to fire and what changed was drawn. */
  idle(): Promise<void>;
  see(): Seen;
  /** How far the device is, and how much waits to be sent. */
  progress(): Promise<{ cursor: number; waiting: number }>;
  /** What the server has and the device has not, or has otherwise; and which of some texts stand in the house, are begun here or were refused. */
  compare(texts: readonly string[]): Promise<{ differing: string[]; found: string[] }>;
}

export function installWalk(): void {
  const SOON_MS = 400;
  const soon = new Set<number>();
  const [set, clear] = [window.setTimeout.bind(window), window.clearTimeout.bind(window)];
  window.setTimeout = ((handler: () => void, ms = 0, ...more: unknown[]) => {
    if (ms > SOON_MS || typeof handler !== 'function') return set(handler, ms, ...more);
    const id = set(() => {
      soon.delete(id);
      (handler as (...args: unknown[]) => void)(...more);
    }, ms);
    soon.add(id);
    return id;
  }) as typeof window.setTimeout;
  window.clearTimeout = ((id?: number) => {
    if (id !== undefined) soon.delete(id);
    clear(id);
  }) as typeof window.clearTimeout;

  // a step back is under way until it is told
  let stepping = 0;
  for (const way of ['back', 'go', 'forward'] as const) {
    const step = window.history[way].bind(window.history);
    window.history[way] = (by?: number) => {
      stepping = performance.now();
      step(by);
    };
  }
  window.addEventListener('popstate', () => (stepping = 0));
  const isStepping = () => stepping > 0 && performance.now() - stepping < 1_000;

  const drawn = () => new Promise<void>((resolve) => requestAnimationFrame(() => set(resolve, 0)));

  const isShown = (element: Element): boolean =>
    element.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && element.closest('[aria-hidden=true], [inert]') === null;

  const INTERACTIVE =
    'button, a[href], input, textarea, select, [role=button], [role=link], [role=checkbox], [role=radio], [role=tab], [role=switch], [role=menuitem], [role=option], [contenteditable=true]';
  const FIELD = 'input:not([type=checkbox]):not([type=radio]):not([type=range]):not([type=color]):not([type=file]), textarea, [contenteditable=true]';

  const nameOf = (element: Element): string => {
    const own = element.getAttribute('aria-label') ?? (element as HTMLInputElement).labels?.[0]?.textContent ?? (element as HTMLElement).innerText;
    return (own || element.getAttribute('placeholder') || element.getAttribute('title') || '').replace(/\s+/g, ' ').trim().slice(0, 80);
  };

  const roleOf = (element: Element): string =>
    element.getAttribute('role') ?? ({ A: 'link', BUTTON: 'button' } as Record<string, string>)[element.tagName] ?? 'field';

  /** The dialog or menu on top, or the page. */
  const topOf = (): Element => document.querySelector('[role=menu]') ?? [...document.querySelectorAll('dialog[open]')].at(-1) ?? document.body;

  /** The part of it that its scrolling ancestors let show. */
  const shownRect = (element: Element): DOMRect => {
    let { left, top, right, bottom } = element.getBoundingClientRect();
    for (let parent = element.parentElement; parent; parent = parent.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(parent);
      if (overflowX === 'visible' && overflowY === 'visible') continue;
      const around = parent.getBoundingClientRect();
      [left, top, right, bottom] = [Math.max(left, around.left), Math.max(top, around.top), Math.min(right, around.right), Math.min(bottom, around.bottom)];
    }
    return new DOMRect(left, top, right - left, bottom - top);
  };

  /** What may lie over others: a message, what the line has understood, signs of a map over one another. */
  const OVER = '[role=status], [data-over], .drawn-map';

  const say = (element: Element): string => `${roleOf(element)} “${nameOf(element)}”`;

  const textFaults = (within: Element): string[] => {
    // the blanks of the demo's templates stand there as they are meant
    const text = (within as HTMLElement).innerText.replace(/\{(couple|guests|boat|newcomer|season)\}/g, '');
    const found: string[] = [];
    for (const bad of [
      /\bundefined\b/,
      /\bNaN\b/,
      /\[object /,
      /“\s*”/,
      /""/,
      /\bnull\b/,
      /Invalid Date/,
      /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}/,
      /\{[a-z]+\}/,
    ]) {
      const at = text.search(bad);
      if (at >= 0) found.push(`the text says ${JSON.stringify(text.slice(Math.max(0, at - 30), at + 40))}`);
    }
    return found;
  };

  /** What is scrolled away but for a hair is scrolled away. */
  const EDGE = 3;

  const see = (): Seen => {
    const top = topOf();
    const faults: string[] = [];
    const controls: Control[] = [];
    if (!top.matches('[role=menu]') && getComputedStyle(document.body).pointerEvents === 'none') faults.push('the page takes no pointer');
    const width = document.documentElement.clientWidth;
    if (document.scrollingElement!.scrollWidth > width + 1) faults.push(`the page is ${document.scrollingElement!.scrollWidth} wide of ${width}`);
    for (const panel of top.querySelectorAll('.sheet-panel, [role=main]'))
      if (panel.scrollWidth > panel.clientWidth + 1)
        faults.push(`${panel.className.split(' ')[0] || panel.getAttribute('role')} goes ${panel.scrollWidth - panel.clientWidth} off to the side`);
    faults.push(...textFaults(top));
    for (const element of top.querySelectorAll(INTERACTIVE)) {
      if (!isShown(element) || (element as HTMLButtonElement).disabled || element.getAttribute('aria-disabled') === 'true') continue;
      const whole = element.getBoundingClientRect();
      const rect = shownRect(element);
      // of an area things lie in, the corner is its own
      const isArea = element.hasAttribute('data-area');
      const [x, y] = isArea ? [whole.left + 10, whole.top + 10] : [whole.left + whole.width / 2, whole.top + whole.height / 2];
      if (whole.width < 2 || whole.height < 2 || x < rect.left + EDGE || x > rect.right - EDGE || y < rect.top + EDGE || y > rect.bottom - EDGE) continue;
      if (x < 0 || y < 0 || x >= window.innerWidth || y >= window.innerHeight) continue;
      const hit = document.elementFromPoint(x, y);
      const isField = element.matches(FIELD);
      if (
        !hit ||
        !(element.contains(hit) || hit.closest('label')?.contains(element) || (element.matches('input') && hit.contains(element) && hit.tagName === 'LABEL'))
      ) {
        if (!hit?.closest(OVER)) faults.push(`${say(element)} lies under ${hit ? `${hit.tagName} ${say(hit)}` : 'nothing'}`);
        continue;
      }
      const name = nameOf(element);
      // a line of a checklist that is being written is called what will be written in it
      if (!name && !element.parentElement?.closest('[contenteditable=true]'))
        faults.push(`a ${roleOf(element)} has no name: ${element.outerHTML.slice(0, 120)}`);
      const input = element as HTMLInputElement;
      const isPassing =
        isField &&
        (/number|date|time|search|month|range/.test(input.type) ||
          (input.maxLength > 0 && input.maxLength < 20) ||
          /numeric|decimal|search/.test(input.inputMode) ||
          input.closest('[role=search]') !== null);
      controls.push({ role: isField ? 'field' : roleOf(element), name, x, y, isField, isPassing });
    }
    controls.sort((a, b) => (a.role + a.name < b.role + b.name ? -1 : a.role + a.name > b.role + b.name ? 1 : a.y - b.y || a.x - b.x));
    const sheet = top.matches('dialog') ? top.querySelector('.sheet-panel')?.getBoundingClientRect() : undefined;
    const around = sheet
      ? [
          { x: window.innerWidth / 2, y: sheet.top / 2 },
          { x: sheet.left / 2, y: window.innerHeight / 2 },
        ].find(({ x, y }) => (y < sheet.top - 12 || x < sheet.left - 12) && !document.elementFromPoint(x, y)?.closest('.sheet-panel, [role=status]'))
      : undefined;
    return {
      controls,
      faults,
      layers: document.querySelectorAll('dialog[open]').length + document.querySelectorAll('[role=menu]').length,
      address: window.location.pathname + window.location.search,
      hasFocus: document.activeElement !== null && document.activeElement !== document.body,
      beside: around ?? null,
    };
  };

  const asked = <T>(request: IDBRequest<T>): Promise<T> =>
    new Promise((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error as Error);
    });

  type KeptRow = { key: string; row: { id: string } };
  const written = (row: object): string => JSON.stringify(Object.entries(row).sort(([one], [other]) => (one < other ? -1 : 1)));

  /** Everything of the house, as a device that begins would fetch it. */
  const everythingGiven = async (): Promise<{ noun: string; row: { id: string } }[]> => {
    const { houses } = (await (await fetch('/api/me')).json()) as { houses: { houseId: string }[] };
    const all: { noun: string; row: { id: string } }[] = [];
    for (let since = 0, more = true; more;) {
      const page = (await (await fetch(`/api/houses/${houses[0]!.houseId}/changes?since=${since}`)).json()) as { put: typeof all; seq: number; more: boolean };
      all.push(...page.put);
      ({ seq: since, more } = page);
    }
    return all;
  };

  type KeptCommand = { reason: unknown; ackSeq: number | null };
  let database: IDBDatabase | null = null;
  /** What the device keeps; let go where it is to be renewed. */
  const opened = async (): Promise<IDBDatabase> => {
    if (database) return database;
    const { name } = (await indexedDB.databases()).find((one) => one.name?.startsWith('kotiva/'))!;
    database = await asked(indexedDB.open(name!));
    database.onversionchange = () => {
      database?.close();
      database = null;
    };
    return database;
  };

  const walk: InPage = {
    async idle() {
      // a hand on the keys: what was ticked leaves now, and not in the middle of the next step
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Shift' }));
      for (let tries = 0; tries < 200; tries++) {
        await drawn();
        if (soon.size === 0 && !isStepping() && !document.querySelector('.glides')) return;
        await new Promise((resolve) => set(resolve, 10));
      }
    },
    see,
    async progress() {
      const db = await opened();
      const tx = db.transaction(['commands', 'cursor']);
      const [commands, cursor] = await Promise.all([
        asked(tx.objectStore('commands').getAll()) as Promise<KeptCommand[]>,
        asked(tx.objectStore('cursor').get('cursor')),
      ]);
      return { cursor: Number(cursor ?? 0), waiting: commands.filter(({ reason, ackSeq }) => reason === null && ackSeq === null).length };
    },
    async compare(texts) {
      const tx = (await opened()).transaction(['rows', 'commands']);
      const [rows, commands] = await Promise.all([asked(tx.objectStore('rows').getAll()) as Promise<KeptRow[]>, asked(tx.objectStore('commands').getAll())]);
      const held = new Map(rows.map(({ key, row }) => [key, written(row)]));
      const given = new Map((await everythingGiven()).map(({ noun, row }) => [`${noun}:${row.id}`, written(row)]));
      const fields = [...document.querySelectorAll<HTMLInputElement>('input, textarea')].map(({ value }) => value);
      const kept = [...given.values(), ...Object.values({ ...localStorage }), JSON.stringify(commands), ...fields, window.location.search].join('\n');
      return {
        differing: [...given].filter(([key, row]) => held.get(key) !== row).map(([key]) => key),
        found: texts.filter((text) => kept.includes(text)),
      };
    },
  };
  (window as unknown as { kotivaWalk: InPage }).kotivaWalk = walk;
}
