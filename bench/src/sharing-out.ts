import { shareOut, type Carrier, type Load } from '@kotiva/core/planning/share-out';
import loadHighs from 'highs';
import { percentile, report } from './report.ts';

const PEOPLE = 12;
const CHORES = 120;
const ROUNDS = 9;

/** A week of a large house: people of different hours, chores most may do and some only few. */
function week(): { carriers: Carrier[]; loads: Load[] } {
  const carriers = Array.from({ length: PEOPLE }, (_, nth) => ({ id: `p${nth}`, capacity: 180 + ((nth * 97) % 7) * 60, held: (nth * 41) % 90 }));
  const loads = Array.from({ length: CHORES }, (_, nth) => ({
    id: `c${nth}`,
    minutes: 5 + ((nth * 53) % 12) * 5,
    able: carriers.filter((_one, at) => (nth * 7 + at * 5) % 3 !== 0).map(({ id }) => id),
    turn: null,
  }));
  return { carriers, loads };
}

/** The least the largest load ÷ capacity can be if chores could be cut in pieces. */
async function bound({ carriers, loads }: ReturnType<typeof week>): Promise<number> {
  const variable = (load: number, carrier: number) => `x${load}_${carrier}`;
  const mayDo = loads.map(({ able }) => carriers.flatMap(({ id }, nth) => (able.includes(id) ? [nth] : [])));
  const each = mayDo.map((able, load) => `d${load}: ${able.map((carrier) => variable(load, carrier)).join(' + ')} = 1`);
  const carried = carriers.map(({ capacity, held }, carrier) => {
    const terms = loads.flatMap(({ minutes }, load) => (mayDo[load]!.includes(carrier) ? [`${minutes} ${variable(load, carrier)}`] : []));
    return `l${carrier}: ${terms.join(' + ')} - ${capacity} t <= ${-held}`;
  });
  const highs = await loadHighs();
  const { ObjectiveValue } = highs.solve(`Minimize\n obj: t\nSubject To\n ${[...each, ...carried].join('\n ')}\nEnd`);
  const longest = Math.max(...loads.map(({ minutes }) => minutes)) / Math.max(...carriers.map(({ capacity }) => capacity));
  return Math.max(ObjectiveValue, longest);
}

/** Sharing out 12 people × 120 chores; then how far that is above what a linear program says is the least. */
export async function shareOutMs(): Promise<void> {
  const asked = week();
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    shareOut(asked.carriers, asked.loads);
    return performance.now() - from;
  });
  // the aim, since nothing simpler gives as good an answer
  report('share_out_ms', percentile(times, 0.5), 'ms', 300);
  report('share_out_gap', shareOut(asked.carriers, asked.loads).after, 'load ÷ capacity', await bound(asked));
}
