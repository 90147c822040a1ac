import type { Filter, FilterCondition } from '@kotiva/core';
import { isNarrowing, MOST_CONDITIONS, NO_FILTER } from '@kotiva/core/filtering';
import { useState } from 'react';
import { View } from 'react-native';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Fold, Foot, Heading, LabelledChoice, Sheet, Switch, Txt } from '@/ui';
import { t } from '@/words';
import { sayCondition, sayFilter } from '@/words/filters.ts';
import { Editor } from './editors.tsx';
import { kindOf, KINDS, wordOfKind, type Kind } from './kinds.ts';
import { useFiltering } from './use-filtered.ts';

interface NarrowSheetProps {
  filter: Filter;
  /** Opened at one of its kinds. */
  at: Kind | null;
  /** How many of a view with a rule of its own meet it, done or not; null: nobody knows before asking. Without it: of everything, open or done as chosen. */
  countOf?: ((filter: Filter) => number) | null;
  /** However it is closed, what was chosen holds. */
  onClose: (filter: Filter) => void;
}

/** Everything that can be asked of items, a fold for each kind; how many meet it stands on the button while it changes. */
export function NarrowSheet({ filter: begin, at, countOf, onClose }: NarrowSheetProps) {
  const { rows } = useOpenHouse();
  const filtering = useFiltering();
  const [filter, setFilter] = useState(begin);
  const close = () => onClose(filter);
  const hasFields = rows.all('ownField').some(({ removedAt }) => removedAt === null);
  const hasOwnRule = countOf !== undefined;
  const count = hasOwnRule ? countOf?.(filter) : filtering(filter).length;
  return (
    <Sheet open onClose={close} title={t('filter.title')} closeLabel={t('common.close')} head={<Heading level={2}>{t('filter.title')}</Heading>}>
      <View className="gap-4 pt-2">
        <Txt size={15} aria-live="polite" tone={isNarrowing(filter) ? 'ink' : 'muted'}>
          {sayFilter(filter, rows, !hasOwnRule)}
        </Txt>
        {filter.conditions.length > 1 ? (
          <LabelledChoice<Filter['match']>
            label={t('filter.match')}
            value={filter.match}
            options={(['all', 'any'] as const).map((value) => ({ value, words: t(`filter.match.${value}`) }))}
            onChange={(match) => setFilter({ ...filter, match })}
          />
        ) : null}
        {hasOwnRule ? null : (
          <LabelledChoice<Filter['state']>
            label={t('filter.state')}
            value={filter.state}
            options={(['open', 'done', 'both'] as const).map((value) => ({ value, words: t(`filter.state.${value}`) }))}
            onChange={(state) => setFilter({ ...filter, state })}
          />
        )}
        <View className="-mx-4">
          {KINDS.filter((kind) => kind !== 'field' || hasFields || filter.conditions.some(({ of }) => of === 'field')).map((kind) => (
            <KindFold key={kind} kind={kind} filter={filter} startsOpen={kind === at} onChange={(conditions) => setFilter({ ...filter, conditions })} />
          ))}
        </View>
        <Foot>
          <View className="flex-row flex-wrap gap-2">
            <Button kind="main" onPress={close}>
              {count === undefined ? t('filter.showThem') : t('filter.show', { count })}
            </Button>
            {isNarrowing(filter) ? <Button onPress={() => setFilter(NO_FILTER)}>{t('filter.clear')}</Button> : null}
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}

interface KindFoldProps {
  kind: Kind;
  filter: Filter;
  startsOpen: boolean;
  onChange: (conditions: FilterCondition[]) => void;
}

/** The conditions of one kind, each with its opposite, and the way to one more. */
function KindFold({ kind, filter, startsOpen, onChange }: KindFoldProps) {
  const { rows } = useOpenHouse();
  const [adding, setAdding] = useState(false);
  const { conditions } = filter;
  const own = conditions.flatMap((condition, nth) => (kindOf(condition) === kind ? [{ condition, nth }] : []));
  const replace = (nth: number, next: FilterCondition | null) => onChange(conditions.flatMap((one, at) => (at !== nth ? [one] : next ? [next] : [])));
  const add = (next: FilterCondition | null) => {
    if (!next) return;
    onChange([...conditions, next]);
    setAdding(false);
  };
  const said = own.map(({ condition }) => sayCondition(condition, rows)).join(' · ');
  return (
    <Fold words={said ? `${wordOfKind(kind)}: ${said}` : wordOfKind(kind)} startsOpen={startsOpen}>
      <View className="gap-4 px-4 pb-3">
        {own.map(({ condition, nth }) => (
          <View key={nth} className="gap-2">
            <Editor kind={kind} condition={condition} onChange={(next) => replace(nth, next)} />
            <Switch words={t('filter.notSwitch')} on={condition.not} onChange={(not) => replace(nth, { ...condition, not })} />
          </View>
        ))}
        {own.length === 0 || adding ? (
          <Editor key={`new ${own.length}`} kind={kind} condition={null} onChange={add} />
        ) : conditions.length < MOST_CONDITIONS ? (
          <View className="items-start">
            <Button kind="quiet" icon="plus" onPress={() => setAdding(true)}>
              {t('filter.another')}
            </Button>
          </View>
        ) : null}
      </View>
    </Fold>
  );
}
