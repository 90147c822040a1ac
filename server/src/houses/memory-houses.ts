import {
  CLUSTERED,
  INDEXES,
  MemoryRows,
  NEWEST_OF_LIST,
  NEWEST_OF_SERIES,
  NOUNS,
  type IndexOf,
  type Item,
  type Noun,
  type RecordedCommand,
  type Row,
} from '@kotiva/core';
import {
  HouseMoved,
  RESET,
  type BeginningKey,
  type ChangedKey,
  type Fault,
  type HouseStorage,
  type HouseWriter,
  type LoggedCommand,
  type Sighted,
} from './house-storage.ts';

class Taken extends Error {}

type Asked = Parameters<HouseStorage['changedKeys']>[0];
interface Sight extends Sighted {
  seq: number;
}

/** One house in memory. */
class House {
  seq = 0;
  readonly rows = new MemoryRows('all');
  readonly log = new Map<string, LoggedCommand>();
  readonly sights: Sight[] = [];
  /** The first sequence number of each day. */
  readonly days = new Map<string, number>();
  /** The items somebody has still to do with. */
  readonly living = new Set<string>();

  *all(): Generator<{ noun: Noun; row: Row }> {
    for (const noun of NOUNS) for (const row of this.rows.all(noun)) yield { noun, row };
  }

  item(id: string | null): Item | undefined {
    return id === null ? undefined : this.rows.find('item', id);
  }
}

/** Houses kept nowhere but in memory: what storage is to do, without a database. For tests, and what another storage can be read against. */
export class MemoryHouses implements HouseStorage {
  private readonly houses = new Map<string, House>();
  /** How each thing that was written since the commit began is unmade. */
  private unmake: (() => void)[] = [];

  seqOf(houseId: string): number {
    return this.houses.get(houseId)?.seq ?? 0;
  }

  find<N extends Noun>(houseId: string, noun: N, id: string): Row<N> | undefined {
    return this.houses.get(houseId)?.rows.find(noun, id);
  }

  by<N extends Noun>(houseId: string, noun: N, index: IndexOf<N>, value: string): Row<N>[] {
    if (!(INDEXES[noun] as readonly string[]).includes(String(index))) throw new Error(`${noun} is not looked up by ${String(index)}`);
    return this.houses.get(houseId)?.rows.by(noun, index, value) ?? [];
  }

  all<N extends Noun>(houseId: string, noun: N): Row<N>[] {
    return this.houses.get(houseId)?.rows.all(noun) ?? [];
  }

  among<N extends Noun>(houseId: string, noun: N, field: string, values: readonly string[]): Row<N>[] {
    const wanted = new Set(values);
    return this.all(houseId, noun).filter((row) => wanted.has((row as unknown as Record<string, string>)[field]!));
  }

  pages<N extends Noun>(houseId: string, noun: N): Row<N>[][] {
    const rows = this.all(houseId, noun);
    return rows.length === 0 ? [] : [rows];
  }

  command(houseId: string, id: string): RecordedCommand | undefined {
    const kept = [...(this.houses.get(houseId)?.log.values() ?? [])].find((one) => one.id === id && one.seq !== null);
    return kept && { id, name: kept.name, actorId: kept.actorId, payload: kept.payload, changes: kept.changes };
  }

  outcomesOf(id: string): Pick<LoggedCommand, 'accountId' | 'outcome'>[] {
    return [...this.houses.values()]
      .flatMap(({ log }) => [...log.values()].filter((one) => one.id === id))
      .map(({ accountId, outcome }) => ({ accountId, outcome }));
  }

  firstSince(houseId: string, day: string): number | null {
    const since = [...(this.houses.get(houseId)?.days ?? [])].filter(([one]) => one >= day).map(([, seq]) => seq);
    return since.length === 0 ? null : Math.min(...since);
  }

  hasDays(houseId: string): boolean {
    return (this.houses.get(houseId)?.days.size ?? 0) > 0;
  }

  changedKeys({ houseId, personId, since, until, limit }: Asked): ChangedKey[] {
    const house = this.houses.get(houseId);
    if (!house) return [];
    const isAsked = ({ seq }: { seq: number }): boolean => seq > since && seq <= until;
    const written = [...house.all()].filter(({ row }) => isAsked(row)).map(({ noun, row }) => ({ noun, id: row.id, seq: row.seq, sighted: 0 as const }));
    const sighted = house.sights.flatMap((one) =>
      one.personId === personId && one.noun !== RESET && isAsked(one) ? [{ noun: one.noun, id: one.rowId, seq: one.seq, sighted: 1 as const }] : [],
    );
    return [...written, ...sighted].sort((a, b) => a.seq - b.seq).slice(0, limit);
  }

  isReset(houseId: string, personId: string, since: number): boolean {
    return this.houses.get(houseId)?.sights.some((one) => one.personId === personId && one.noun === RESET && one.seq > since) ?? false;
  }

  beginningKeys(houseId: string, from: number, today: string): BeginningKey[] {
    const house = this.houses.get(houseId);
    if (!house) return [];
    const near = itemsNear(house, from);
    const items = new Set([...near, ...withClusters(house, newest(house))]);
    return [...house.all()]
      .filter(({ noun, row }) => isHeld(house, noun, row as unknown as Fields, { near, items, from, today }))
      .map(({ noun, row }) => ({ noun, id: row.id, seq: row.seq, sighted: 0 as const, personId: ownerOf(noun, row) }))
      .sort((a, b) => a.seq - b.seq);
  }

  unreadUntil(personId: string, from: number, limit: number): BeginningKey[] {
    return [...this.houses.values()]
      .flatMap(({ rows }) => rows.by('notice', 'personId', personId))
      .filter(({ seq, readAt, withdrawnAt }) => seq <= from && readAt === null && withdrawnAt === null)
      .sort((a, b) => b.seq - a.seq)
      .slice(0, limit)
      .map(({ id, seq }) => ({ noun: 'notice', id, seq, sighted: 0, personId }));
  }

  commit<T>(task: (writer: HouseWriter) => T): T {
    this.unmake = [];
    try {
      return task(this.writer);
    } catch (error) {
      for (const undo of this.unmake.reverse()) undo();
      throw error;
    }
  }

  faultOf(error: unknown): Fault | null {
    return error instanceof HouseMoved ? 'storage' : error instanceof Taken ? 'taken' : null;
  }

  private readonly writer: HouseWriter = {
    insert: (noun, row) => {
      if (this.isTaken(noun, row)) throw new Taken(`${noun} ${row.id}`);
      const { rows } = this.house(row.houseId);
      this.do(() => rows.put(noun, row), () => rows.evict(noun, row.id)); // prettier-ignore
    },
    update: (noun, row) => {
      const { rows } = this.house(row.houseId);
      const before = rows.find(noun, row.id)!;
      this.do(() => rows.put(noun, row), () => rows.put(noun, before)); // prettier-ignore
    },
    log: (command) => {
      const { log } = this.house(command.houseId);
      const key = `${command.id} ${command.accountId}`;
      if ([...this.houses.values()].some((house) => house.log.has(key))) throw new Taken(`command ${command.id}`);
      this.do(() => log.set(key, command), () => log.delete(key)); // prettier-ignore
    },
    sight: (houseId, seq, one) => {
      const { sights } = this.house(houseId);
      this.do(() => sights.push({ ...one, seq }), () => sights.pop()); // prettier-ignore
    },
    beginDay: (houseId, day, seq) => {
      const { days } = this.house(houseId);
      if (!days.has(day)) this.do(() => days.set(day, seq), () => days.delete(day)); // prettier-ignore
    },
    setLiving: (houseId, itemId, lives) => {
      const { living } = this.house(houseId);
      if (living.has(itemId) === lives) return;
      const [enter, leave] = [() => living.add(itemId), () => living.delete(itemId)];
      if (lives) this.do(enter, leave);
      else this.do(leave, enter);
    },
    stand: (houseId, since, seq) => {
      if (this.seqOf(houseId) !== since) throw new HouseMoved(houseId, since);
      if (seq === since) return;
      const house = this.house(houseId);
      this.do(() => (house.seq = seq), () => (house.seq = since)); // prettier-ignore
    },
  };

  private do(make: () => unknown, unmake: () => unknown): void {
    make();
    this.unmake.push(() => void unmake());
  }

  private house(houseId: string): House {
    const house = this.houses.get(houseId) ?? new House();
    this.houses.set(houseId, house);
    return house;
  }

  private isTaken(noun: Noun, row: Row): boolean {
    return [...this.houses.values()].some(({ rows }) => {
      if (rows.find(noun, row.id) !== undefined) return true;
      return noun === 'invitation' && rows.by('invitation', 'token', (row as Row<'invitation'>).token).length > 0;
    });
  }
}

interface Fields {
  itemId?: string | null;
  personId?: string | null;
  seq: number;
  removedAt?: string | null;
  endedAt?: string | null;
  start?: string;
}

const OWN: readonly Noun[] = ['notice', 'slot', 'stretch'];
const ownerOf = (noun: Noun, row: Row): string | null => (OWN.includes(noun) ? ((row as unknown as Fields).personId ?? null) : null);

/** The items somebody has still to do with, and those something happened to after `from`: with their clusters. */
function itemsNear(house: House, from: number): Set<string> {
  const wanted = new Set(house.living);
  for (const { id, seq } of house.rows.all('item')) if (seq > from) wanted.add(id);
  for (const noun of CLUSTERED) for (const row of house.rows.all(noun) as unknown as Fields[]) if (row.seq > from && row.itemId) wanted.add(row.itemId);
  return withClusters(house, wanted);
}

/** The newest of each list that is in use, and of each chore. */
function newest(house: House): string[] {
  const newestOf = (items: Item[], most: number): string[] =>
    items
      .sort((a, b) => b.seq - a.seq)
      .slice(0, most)
      .map(({ id }) => id);
  const lists = house.rows.all('list').filter((list) => list.removedAt === null && list.filedAt === null);
  return [
    ...lists.flatMap(({ id }) =>
      newestOf(
        house.rows.by('item', 'listId', id).filter(({ parentId, removedAt }) => parentId === null && removedAt === null),
        NEWEST_OF_LIST,
      ),
    ),
    ...house.rows.all('series').flatMap(({ id }) => newestOf(house.rows.by('item', 'seriesId', id), NEWEST_OF_SERIES)),
  ];
}

function withClusters(house: House, wanted: Iterable<string>): Set<string> {
  const found = new Set<string>();
  const below = (id: string): void => {
    if (found.has(id)) return;
    found.add(id);
    for (const step of house.rows.by('item', 'parentId', id)) below(step.id);
  };
  for (const id of wanted) {
    let top = house.item(id);
    if (top === undefined) continue;
    for (let up = house.item(top.parentId); up !== undefined; up = house.item(up.parentId)) top = up;
    below(top.id);
  }
  return found;
}

interface Holding {
  near: ReadonlySet<string>;
  items: ReadonlySet<string>;
  from: number;
  today: string;
}

/** Whether a device that begins is given a row. */
function isHeld(house: House, noun: Noun, row: Fields & { id?: string; purgedAt?: string | null }, { near, items, from, today }: Holding): boolean {
  const itemId = row.itemId ?? null;
  const isNew = row.seq > from;
  switch (noun) {
    case 'item':
      return items.has(row.id!) && row.purgedAt === null;
    case 'attachment':
      return house.item(itemId) === undefined || items.has(itemId!);
    case 'activity':
      return itemId === null ? isNew : near.has(itemId);
    case 'notice':
      return isNew;
    case 'slot':
      return isNew || (row.removedAt === null && row.start! >= today);
    case 'errandRound':
    case 'stretch':
      return isNew || row.endedAt === null;
    default:
      return (CLUSTERED as readonly Noun[]).includes(noun) ? itemId !== null && items.has(itemId) : true;
  }
}
