import { View } from 'react-native';
import { useOpenItem } from '@/features/item';
import { useKeepDraft } from '@/store/drafts.ts';
import type { Refused } from '@/store/house.ts';
import { useSubmit, useLiveHouse } from '@/store/live-house.tsx';
import { useHouseState, useOpenHouse } from '@/store/store.ts';
import { Button, Txt } from '@/ui';
import { t, hasWord } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { typedInto } from './typed-again.ts';

const SHOWN = 80;
const shortened = (text: string): string => (text.length > SHOWN ? `${text.slice(0, SHOWN).trimEnd()}…` : text);

/** Changes the server refused: kept here with the reason until put away; where it makes sense, offered again. */
export function NotApplied() {
  const refused = useHouseState((state) => state.refused);
  // the sentences of refusals come with what decides
  const decides = useHouseState((state) => state.decides);
  if (refused.length === 0 || !decides) return null;
  return (
    <View role="alert" className="border-b border-line bg-sunk">
      {refused.slice(-3).map((one) => (
        <NotAppliedRow key={one.command.id} refused={one} />
      ))}
    </View>
  );
}

function NotAppliedRow({ refused: { command, reason } }: { refused: Refused }) {
  const { rows } = useOpenHouse();
  const house = useLiveHouse();
  const submit = useSubmit();
  const keepDraft = useKeepDraft();
  const openItem = useOpenItem();
  const payload = command.payload as { item?: string; items?: string[]; title?: string };
  const item = rows.find('item', payload.item ?? payload.items?.[0] ?? '');
  const title = item === undefined ? (payload.title ?? '') : item.title;
  const what = hasWord(`tried.${command.name}`) ? t(`tried.${command.name}` as never, { title }) : t('tried.change', { title });
  const contested = reason.code === 'changed-since';
  // seen only by the server: the next of a chore is somebody else's
  const begun = reason.code === 'next-touched';
  const typed = typedInto(command);
  const again = contested ? t('tried.useMine') : begun ? t('said.keepBoth') : reason.code === 'failed' ? t('tried.again') : null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-2 px-4 py-1">
      <Txt size={15} className="min-w-0 grow shrink basis-[200px]">
        {what} {sayReason(reason)}
        {typed ? ` ${t('tried.typed', { words: shortened(typed.text) })}` : ''}
      </Txt>
      {again ? (
        <Button
          kind="quiet"
          onPress={() => {
            house.putAwayRefusal(command.id);
            submit(command.name, begun ? { ...command.payload, next: 'keep' } : command.payload);
          }}
        >
          {again}
        </Button>
      ) : null}
      {typed && again === null ? (
        <Button
          kind="quiet"
          onPress={() => {
            keepDraft(typed.place, typed.draft);
            house.putAwayRefusal(command.id);
            if (typed.itemId && item !== undefined) openItem(typed.itemId, command.name === 'part.handOver' ? 'hand' : undefined);
          }}
        >
          {t('tried.putBack')}
        </Button>
      ) : null}
      <Button kind="quiet" tone="muted" onPress={() => house.putAwayRefusal(command.id)}>
        {t(contested ? 'tried.useTheirs' : 'tried.putAway')}
      </Button>
    </View>
  );
}
