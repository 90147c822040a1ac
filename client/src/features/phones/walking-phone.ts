import { fixesTold, judge, NO_VISITS, placesHere, type Fix, type Playing, type Coordinates, type Geofence, type Visits } from '@kotiva/core';

/** What a phone found: told of as it happens. */
export interface Found {
  placeId: string;
  on: 'enter' | 'leave';
  silent: boolean;
}

/** Where a phone is, and how far it has come on its track. */
export interface PhoneState {
  at: Coordinates | null;
  here: readonly string[];
  /** Of the track, in milliseconds; null: it stands still. */
  gone: number | null;
  of: number;
}

const STEP_MS = 250;
/** A phone that was put somewhere looks twice, so far apart. */
const TWO_LOOKS_MS = 31_000;

/** One simulated phone: plays a track faster than it was walked, and judges what it is told as a real one does. */
export class WalkingPhone {
  state: PhoneState = { at: null, here: [], gone: null, of: 0 };
  private visits: Visits = NO_VISITS;
  private spots: readonly Geofence[] = [];
  private timer: ReturnType<typeof setInterval> | null = null;
  /** The phone's own time: it only ever goes forward. */
  private clock = Date.now();

  constructor(
    private readonly onFound: (found: Found) => void,
    private readonly onState: (state: PhoneState) => void,
  ) {}

  /** What there is to come to, from now on. */
  know(spots: readonly Geofence[]): void {
    this.spots = spots;
  }

  play(track: readonly Fix[], playing: Playing, speed: number): void {
    this.stop();
    const told = fixesTold(track, playing);
    const first = told[0]!.at;
    const began = this.clock;
    const of = told.at(-1)!.at - first;
    let nth = 0;
    let gone = 0;
    const step = () => {
      for (; nth < told.length && told[nth]!.at - first <= gone; nth++) this.look({ ...told[nth]!, at: began + told[nth]!.at - first + 1 });
      this.set({ gone: nth < told.length ? gone : null, of });
      if (nth >= told.length) return this.stop();
      gone += STEP_MS * speed;
    };
    this.timer = setInterval(step, STEP_MS);
    step();
  }

  /** Put somewhere by hand. */
  put(at: Coordinates): void {
    this.stop();
    for (const later of [1_000, TWO_LOOKS_MS]) this.look({ ...at, accuracy: 5, at: this.clock + later });
  }

  stop(): void {
    if (this.timer !== null) clearInterval(this.timer);
    this.timer = null;
    this.set({ gone: null });
  }

  private look(fix: Fix): void {
    this.clock = Math.max(this.clock, fix.at);
    const { visits, crossings, found } = judge(this.visits, fix, this.spots);
    this.visits = visits;
    for (const placeId of found) this.onFound({ placeId, on: 'enter', silent: true });
    for (const { placeId, kind } of crossings) this.onFound({ placeId, on: kind, silent: false });
    this.set({ at: { lat: fix.lat, lon: fix.lon }, here: placesHere(visits) });
  }

  private set(some: Partial<PhoneState>): void {
    this.state = { ...this.state, ...some };
    this.onState(this.state);
  }
}
