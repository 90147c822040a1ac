import { memo, useEffect, useMemo, useSyncExternalStore } from 'react';
import { useFreshSince } from '@/store/fresh-since.ts';
import { useHouseState, useNow, useOpenHouse } from '@/store/store.ts';
import { renewal } from '@/sync/service-worker.ts';
import { NoticeBar, Txt } from '@/ui';
import { t } from '@/words';
import { sayHours } from '@/words/amounts.ts';
import { sayInstant } from '@/words/dates.ts';
import { sayHeldUp } from '@/words/problems.ts';
import { NotApplied } from './fetched.ts';

/** How the device stands to the server, said quietly: what waits to be sent, and whether it would be lost. */
export const LineState = memo(function LineState() {
  const line = useHouseState((state) => state.line);
  const heldUp = useHouseState((state) => state.heldUp);
  const waiting = useHouseState((state) => state.pending.filter(({ ackSeq }) => ackSeq === null).length);
  const isUnkept = useHouseState((state) => state.isUnkept) && waiting > 0;
  useEffect(() => {
    if (!isUnkept) return;
    // the browser asks in its own words whether to leave
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isUnkept]);
  const hasRefused = useHouseState((state) => state.refused.length > 0);
  const { me, house } = useOpenHouse();
  const now = useNow();
  const since = useFreshSince(me.accountId ?? me.id, house.id);
  const words = [
    wordsOf(line, heldUp, waiting),
    line === 'offline' && since ? t('line.since', { when: sayInstant(since, now, house.zone) }) : null,
    isUnkept ? t('line.unkept', { count: waiting }) : null,
  ]
    .filter(Boolean)
    .join(' ');
  const zone = useMemo(() => sayHouseTime(house.zone, now), [house.zone, now]);
  return (
    <>
      {words ? (
        <Txt role="status" size={15} tone="waits" className="bg-sunk px-4 py-1.5">
          {words}
        </Txt>
      ) : null}
      {zone ? (
        <Txt size={13} tone="muted" className="bg-sunk px-4 py-1">
          {zone}
        </Txt>
      ) : null}
      <Renewed />
      {hasRefused ? <NotApplied /> : null}
    </>
  );
});

/** One tap, and nothing is lost: what was typed is kept. */
function Renewed() {
  const isRenewed = useSyncExternalStore(renewal.heard, renewal.has);
  if (!isRenewed) return null;
  return <NoticeBar words={t('line.renewed')} action={t('line.renew')} onAction={() => window.location.reload()} />;
}

const offsetMs = (instant: string, zone: string | undefined): number =>
  Date.parse(`${new Date(instant).toLocaleString('sv-SE', { timeZone: zone }).replace(' ', 'T')}Z`) - Math.floor(Date.parse(instant) / 1_000) * 1_000;

/** Where the device keeps another time than the house, whose time it is that is shown. */
function sayHouseTime(zone: string, now: string): string | null {
  const minutes = Math.round((offsetMs(now, zone) - offsetMs(now, undefined)) / 60_000);
  if (minutes === 0) return null;
  const city = zone.slice(zone.lastIndexOf('/') + 1).replaceAll('_', ' ');
  return t(minutes > 0 ? 'line.zoneAhead' : 'line.zoneBehind', { zone: city, hours: `${sayHours(Math.abs(minutes))} h` });
}

function wordsOf(line: string, heldUp: string | null, waiting: number): string | null {
  if (line === 'offline') return waiting > 0 ? t('line.offlineWaiting', { count: waiting }) : t('line.offline');
  if (!heldUp) return null;
  return [sayHeldUp(heldUp), waiting > 0 ? t('line.waiting', { count: waiting }) : null].filter(Boolean).join(' ');
}
