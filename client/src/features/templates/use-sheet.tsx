import type { Reader, Template, TemplateItem } from '@kotiva/core';
import { filledIn } from '@kotiva/core/templates/blanks';
import { layOut, type Filling } from '@kotiva/core/templates/laid-out';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { selectRows } from '@/store/rows.ts';
import { useOpenHouse, type Store } from '@/store/store.ts';
import { Button, ErrorLine, Field, Fold, Foot, Heading, LongRows, MomentInput, Row, Sheet } from '@/ui';
import { t, together } from '@/words';
import { sayExactly } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';
import { FillingFields, missingIn } from './filling-fields.tsx';
import { useContents } from './use-templates.ts';

interface Typed {
  /** Null: as the template says. */
  name: string | null;
  anchor: string;
  blanks: Record<string, string>;
  roles: Record<string, string[]>;
}

const NOTHING: Typed = { name: null, anchor: '', blanks: {}, roles: {} };

/** Asks for what the template asks for, on one page; shows what will be made, and makes it. */
export function UseSheet({ template, onClose }: { template: Template; onClose: () => void }) {
  const { rows } = useOpenHouse();
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const { items, asked } = useContents(template);
  const [typed, setTyped, done] = useDraft(`use-template/${template.id}`, NOTHING);
  const [error, setError] = useState<{ at: 'anchor' | 'name' | 'other'; says: string } | null>(null);
  /** It was tried: from then on what is missing says so, until it is there. */
  const [tried, setTried] = useState(false);
  const change = (some: Partial<Typed>) => {
    setTyped({ ...typed, ...some });
    setError(null);
  };
  const filling: Filling = useMemo(() => fillingOf(typed), [typed]);
  const name = typed.name ?? filledIn(template.name, filling.blanks).trim().slice(0, 80);
  const says = (at: string) => (error?.at === at ? error.says : null);
  const isList = template.kind === 'list';
  const missing = [...(asked.anchor && !typed.anchor ? [template.anchorName || t('template.itsDay')] : []), ...missingIn(asked, typed)];
  const make = () => {
    setTried(true);
    if (missing.length > 0) return;
    const known = new Set(rows.all(isList ? 'list' : 'item').map(({ id }) => id));
    const payload = { template: template.id, ...(isList ? { name } : {}), anchor: typed.anchor || null, blanks: typed.blanks, roles: typed.roles };
    const words = isList ? t('said.templateUsed', { name, count: items.length }) : t('said.templateUsedItem');
    const reason = submit('template.use', payload, { words, undo: true, ownRefusal: true });
    if (reason) return setError({ at: reason.field === 'name' || reason.field === 'anchor' ? reason.field : 'other', says: sayReason(reason) });
    done();
    onClose();
    const now = selectRows(store.getState().house);
    const list = isList ? now.all('list').find(({ id }) => !known.has(id)) : undefined;
    const item = isList ? undefined : now.all('item').find((one) => !known.has(one.id) && one.parentId === null);
    if (list) router.push(`/lists/${list.id}`);
    else if (item) router.push(`/items/${item.id}`);
  };
  const title = t('template.useTitle', { name: template.name });
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        {asked.anchor ? (
          <View className="gap-1">
            <MomentInput label={template.anchorName || t('template.day')} kind="date" value={typed.anchor} onChange={(anchor) => change({ anchor })} />
            <ErrorLine says={says('anchor') ?? (tried && !typed.anchor ? t('template.fillIn') : null)} />
          </View>
        ) : null}
        <FillingFields asked={asked} typed={typed} tried={tried} onChange={change} />
        {isList ? (
          <Field label={t('template.listName')} value={name} maxLength={80} onChangeText={(next) => change({ name: next })} error={says('name')} />
        ) : null}
        <Fold words={t('template.preview', { count: items.length })}>
          <View className="-mx-5">
            <LongRows rows={items} keyOf={({ id }) => id}>
              {(item) => <Preview item={item} filling={filling} rows={rows} />}
            </LongRows>
          </View>
        </Fold>
        <ErrorLine says={says('other') ?? (tried && missing.length > 0 ? t('template.missing', { names: together(missing) }) : null)} />
        <Foot>
          <Button kind="main" onPress={make}>
            {t('template.makeIt')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

function fillingOf({ anchor, blanks, roles }: Typed): Filling {
  const said = Object.fromEntries(Object.entries(blanks).filter(([, value]) => value.trim() !== ''));
  return { anchor: anchor || null, blanks: said, roles };
}

function Preview({ item, filling, rows }: { item: TemplateItem; filling: Filling; rows: Reader }) {
  const { title, due, personIds } = layOut(item, filling);
  const names = personIds.flatMap((id) => {
    const person = rows.find('person', id);
    return person === undefined ? [] : [person.name];
  });
  const sub = [due ? sayExactly(due) : null, names.length > 0 ? together(names) : null].filter(Boolean).join(' · ');
  return (
    <View className={item.parentId === null ? '' : 'pl-6'}>
      <Row title={title} sub={sub || undefined} />
    </View>
  );
}
