import { isHere, type Role } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { suggestLooks, suggestMark } from '@/features/account';
import { useDraft } from '@/store/drafts.ts';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, ErrorLine, Field, Fold, Foot, Heading, type Looks, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { AwayForm } from './away-form.tsx';
import { RestForm } from './rest-form.tsx';
import { OutsideLink } from './outside-link.tsx';
import { WeekHours } from './week-hours.tsx';
import { LooksFields } from './looks-fields.tsx';

const looksOf = ({ mark, colour, pattern }: Looks): Looks => ({ mark, colour, pattern });

/** Somebody in the house, for managers: name, mark, role, end of access. Without an id: a new name to hand things to. */
export function PersonSheet({ personId, onClose, onEnd }: { personId: string | null; onClose: () => void; onEnd: (id: string) => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const person = (personId ? rows.find('person', personId) : null) ?? null;
  const taken = rows.all('person').filter(isHere);
  const [begin] = useState(() => ({
    name: person?.name ?? '',
    looks: looksOf(person ?? suggestLooks('', taken)),
    contact: { email: person?.email ?? '', phone: person?.phone ?? '', contact: person?.contact ?? '' },
    role: person?.role ?? ('outside' as Role),
  }));
  const [draft, change, done] = useDraft(`person/${personId ?? 'new'}`, begin);
  const { name, looks, contact, role } = draft;
  const set = (some: Partial<typeof begin>) => change((now) => ({ ...now, ...some }));
  const [error, setError] = useState<{ field?: string; words: string } | null>(null);
  const [markTyped, setMarkTyped] = useState(false);
  const title = person ? person.name : t('people.addWithout');

  const save = () => {
    const fields = {
      name,
      mark: looks.mark,
      colour: looks.colour,
      pattern: looks.pattern,
      email: contact.email.trim() || null,
      phone: contact.phone.trim() || null,
      contact: contact.contact.trim(),
    };
    const reason = person
      ? submit('person.change', { person: person.id, ...fields }, { ownRefusal: true })
      : submit('person.add', fields, { words: t('said.personAdded', { name }), ownRefusal: true });
    const roleReason = !reason && person && role !== person.role ? submit('person.setRole', { person: person.id, role }, { ownRefusal: true }) : null;
    const why = reason ?? roleReason;
    if (why) return setError({ field: why.field, words: sayReason(why) });
    done();
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        {person ? null : <Txt tone="muted">{t('people.withoutMeans')}</Txt>}
        <Field
          label={t('account.name')}
          value={name}
          maxLength={80}
          error={error?.field === 'name' ? error.words : null}
          onChangeText={(next) => {
            const mark = suggestMark(
              next,
              taken.map((one) => one.mark),
            );
            set({ name: next, ...(!person && !markTyped ? { looks: { ...looks, mark } } : {}) });
          }}
        />
        <Field
          label={t('person.mark')}
          hint={t('person.markHint')}
          value={looks.mark}
          maxLength={8}
          error={error?.field === 'mark' ? error.words : null}
          onChangeText={(mark) => {
            setMarkTyped(true);
            set({ looks: { ...looks, mark } });
          }}
        />
        <LooksFields looks={looks} onChange={(next) => set({ looks: next })} />
        <Field
          label={t('contact.email')}
          hint={person?.accountId ? undefined : t('contact.emailHint')}
          value={contact.email}
          inputMode="email"
          maxLength={254}
          onChangeText={(email) => set({ contact: { ...contact, email } })}
          error={error?.field === 'email' ? t('contact.notAnAddress') : null}
        />
        <Field
          label={t('contact.phone')}
          value={contact.phone}
          inputMode="tel"
          maxLength={40}
          onChangeText={(phone) => set({ contact: { ...contact, phone } })}
        />
        <Field label={t('contact.more')} value={contact.contact} maxLength={500} onChangeText={(words) => set({ contact: { ...contact, contact: words } })} />
        {person?.accountId ? (
          <View className="gap-2">
            <Choice
              label={t('person.role')}
              value={role}
              onChange={(next) => set({ role: next })}
              options={(['manager', 'member', 'helper'] as const).map((value) => ({ value, words: t(`role.${value}`) }))}
            />
            <Txt size={15} tone="muted">
              {t(`role.${role}Means`)}
            </Txt>
          </View>
        ) : null}
        {person && person.id !== me.id ? (
          <View className="-mx-4">
            <Fold words={t('capacity.of', { name: person.name })}>
              <WeekHours person={person} />
            </Fold>
            {person.accountId === null ? null : (
              <Fold words={t('rest.of', { name: person.name })}>
                <RestForm person={person} />
              </Fold>
            )}
            <Fold words={t('away.of', { name: person.name })}>
              <AwayForm person={person} />
            </Fold>
            {person.accountId === null && isHere(person) ? (
              <Fold words={t('outside.title')}>
                <OutsideLink person={person} />
              </Fold>
            ) : null}
          </View>
        ) : null}
        {error && !['name', 'mark', 'email'].includes(error.field ?? '') ? <ErrorLine says={error.words} /> : null}
        <Foot>
          <View className="flex-row gap-2">
            <Button kind="main" onPress={save}>
              {t(person ? 'common.save' : 'people.addIt')}
            </Button>
            {person ? (
              <Button tone="late" onPress={() => onEnd(person.id)}>
                {t(person.id === me.id ? 'person.leave' : 'person.end')}
              </Button>
            ) : null}
          </View>
        </Foot>
      </View>
    </Sheet>
  );
}
