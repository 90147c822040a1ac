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
    const { put } = (await (
      await fetch(`${this.base}/api/houses/${this.houseId}/changes?since=0&limit=5000`, { headers: { cookie: this.cookie } })
    ).json()) as { put: { noun: Noun; row: Row }[] };
    return put.filter((one) => one.noun === noun).map((one) => one.row as Row<N>);
  }

  live(since: number): Promise<Response> {
    return fetch(`${this.base}/api/houses/${this.houseId}/live?since=${since}`, { headers: { cookie: this.cookie } });
  }

  async itemForMe(title: string): Promise<{ item: string; person: string }> {
    const command = await this.send('item.add', { title, persons: [this.personId] });
    const made = (await this.rows('item')).find((item) => item.stamps['']!.c === command)!;
    return { item: made.id, person: this.personId };
  }
}

const JSON_HEADERS = { 'content-type': 'application/json' };
