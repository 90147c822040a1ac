import { type Noun, type Row } from '@kotiva/core';
import { v7 } from 'uuid';

/** One of the demo people, over plain HTTP. */
export class DemoPerson {
  private constructor(
    private readonly base: string,
    readonly cookie: string,
    readonly houseId: string,
    readonly personId: string,
  ) {}

  static async signIn(base: string, name: string): Promise<DemoPerson> {
    const { people } = (await (await fetch(`${base}/api/demo/people`)).json()) as { people: { id: string; name: string }[] };
    const response = await fetch(`${base}/api/demo/session`, {
      method: 'POST',
      headers: JSON_HEADERS,
      body: JSON.stringify({ account: people.find((one) => one.name === name)!.id }),
    });
    const cookie = response.headers.get('set-cookie')!.split(';')[0]!;
    const me = (await (await fetch(`${base}/api/me`, { headers: { cookie } })).json()) as { houses: { houseId: string; personId: string }[] };
    return new DemoPerson(base, cookie, me.houses[0]!.houseId, me.houses[0]!.personId);
  }

  async send(name: string, payload: unknown): Promise<string> {
    const id = v7();
    const answer = await this.post('/api/commands', { commands: [{ id, houseId: this.houseId, name, payload, at: new Date().toISOString(), seen: 1e9 }] });
    const { outcomes } = (await answer.json()) as { outcomes: { outcome: string }[] };
    if (outcomes[0]!.outcome !== 'accepted') throw new Error(`${name}: ${JSON.stringify(outcomes)}`);
    return id;
  }

  post(path: string, body: unknown): Promise<Response> {
    return fetch(this.base + path, { method: 'POST', headers: { ...JSON_HEADERS, cookie: this.cookie }, body: JSON.stringify(body) });
  }

  async rows<N extends Noun>(noun: N): Promise<Row<N>[]> {
    const found: Row<N>[] = [];
    for (let since = 0, more = true; more;) {
      const page = await this.changes(since);
      for (const one of page.put) if (one.noun === noun) found.push(one.row as Row<N>);
      ({ seq: since, more } = page);
    }
    return found;
  }

  /** The stream of what follows from now on. */
  async live(): Promise<Response> {
    let since = 0;
    for (let more = true; more;) ({ seq: since, more } = await this.changes(since));
    return fetch(`${this.base}/api/houses/${this.houseId}/live?since=${since}`, { headers: { cookie: this.cookie } });
  }

  private async changes(since: number): Promise<{ seq: number; more: boolean; put: { noun: Noun; row: Row }[] }> {
    const answer = await fetch(`${this.base}/api/houses/${this.houseId}/changes?since=${since}`, { headers: { cookie: this.cookie } });
    return (await answer.json()) as { seq: number; more: boolean; put: { noun: Noun; row: Row }[] };
  }

  async itemForMe(title: string): Promise<{ item: string; person: string }> {
    const command = await this.send('item.add', { title, persons: [this.personId] });
    const made = (await this.rows('item')).find((item) => item.stamps['']!.c === command)!;
    return { item: made.id, person: this.personId };
  }
}

const JSON_HEADERS = { 'content-type': 'application/json' };
