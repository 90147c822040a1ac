import { byPosition, isHere, relationToList, type Access, type House, type List, type Reader, type Role } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, CopyButton, Field, Foot, Heading, Sheet, Txt } from '@/ui';
import { QrCode } from '@/ui/qr-code.tsx';
import { t, together } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { accessesFor } from './accesses.ts';
import { linkOf } from './link.ts';

/** 32 random bytes in base64url: nobody guesses it. */
function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

/** A link to pass on, made here and shown at once. `name`: whom it is for, where that is known. */
export function InviteSheet({ name, list, onClose }: { name?: string; /** The list it is about: opened by the link. */ list?: string; onClose: () => void }) {
  const { rows, me, house } = useOpenHouse();
  const submit = useSubmit();
  const [role, setRole] = useState<Exclude<Role, 'outside'>>('member');
  const [uses, setUses] = useState<'one' | 'several'>('one');
  const [error, setError] = useState<string | null>(null);
  const [token] = useState(newToken);
  const [isMade, setMade] = useState(false);
  const lists = rows
    .all('list')
    .filter((list) => !list.removedAt && !list.filedAt && relationToList(list.id, me, rows) !== null)
    .sort(byPosition);
  const [access, setAccess] = useState<Record<string, Access>>(() => {
    const opened = list === undefined ? openedAtFirst(lists, house, rows) : lists.filter(({ id }) => id === list);
    return Object.fromEntries(opened.map(({ id }) => [id, 'edit'] as const));
  });
  const given = (listId: string): Access | undefined => (role === 'helper' && access[listId] === 'edit' ? 'check' : access[listId]);
  const make = () => {
    const reason = submit(
      'invitation.make',
      { role, uses, token, lists: Object.keys(access).map((listId) => ({ listId, access: given(listId)! })) },
      { words: t('said.invitationMade'), ownRefusal: true },
    );
    if (reason) setError(sayReason(reason));
    else setMade(true);
  };
  const title = name ? t('invite.name', { name }) : t('invite.make');
  if (isMade) {
    return (
      <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
        <Made token={token} name={name} />
      </Sheet>
    );
  }
  return (
    <Sheet open onClose={onClose} title={title} closeLabel={t('common.close')} head={<Heading level={2}>{title}</Heading>}>
      <View className="gap-5 pt-2">
        <View className="gap-2">
          <Choice
            label={t('person.role')}
            value={role}
            onChange={setRole}
            options={(['member', 'helper', 'manager'] as const).map((value) => ({ value, words: t(`role.${value}`) }))}
          />
          <Txt size={15} tone="muted">
            {t(`role.${role}Means`)}
          </Txt>
        </View>
        <Txt size={15}>
          {sayOpens(
            uses,
            role,
            lists.filter(({ id }) => given(id) !== undefined),
          )}
        </Txt>
        <Choice
          label={t('invite.uses')}
          value={uses}
          onChange={setUses}
          options={(['one', 'several'] as const).map((value) => ({ value, words: t(`invite.${value}`) }))}
        />
        {lists.length > 0 ? (
          <View className="gap-3">
            <Txt size={15} face="medium" tone="muted">
              {t('invite.lists')}
            </Txt>
            {lists.map((list) => (
              <View key={list.id} className="gap-1">
                <Txt size={15}>{list.name}</Txt>
                <Choice<Access | 'none'>
                  label={t('share.accessOf', { name: list.name })}
                  value={given(list.id) ?? 'none'}
                  onChange={(next) => {
                    const { [list.id]: _old, ...rest } = access;
                    setAccess(next === 'none' ? rest : { ...rest, [list.id]: next });
                  }}
                  options={accessesFor(role).map((value) => ({ value, words: t(`access.${value}`) }))}
                />
              </View>
            ))}
          </View>
        ) : null}
        {error ? (
          <Txt role="alert" tone="late">
            {error}
          </Txt>
        ) : null}
        <Foot>
          <Button kind="main" onPress={make}>
            {t('invite.makeLink')}
          </Button>
        </Foot>
      </View>
    </Sheet>
  );
}

/** The first one who is let in may edit all there is; later ones what others see too. */
function openedAtFirst(lists: readonly List[], house: House, rows: Reader): List[] {
  const isAlone = rows.all('person').filter((person) => isHere(person) && person.accountId !== null).length === 1;
  const isShared = ({ id }: List) => rows.by('share', 'listId', id).some((share) => share.access !== null);
  return lists.filter((one) => one.id !== house.hintsListId && (isAlone || isShared(one)));
}

/** What the link opens, and for whom, in a sentence. */
function sayOpens(uses: 'one' | 'several', role: Role, lists: readonly List[]): string {
  const slots = { role: t(`role.${role}`), lists: together(lists.map((one) => one.name)) };
  if (lists.length === 0) return t(uses === 'one' ? 'invite.opensNothingOne' : 'invite.opensNothingSeveral', slots);
  return t(uses === 'one' ? 'invite.opensOne' : 'invite.opensSeveral', slots);
}

function Made({ token, name }: { token: string; name?: string }) {
  const { house, me } = useOpenHouse();
  const words = t('invite.emailText', { name: me.name, house: house.name });
  const subject = t('invite.emailSubject', { house: house.name });
  const canShare = typeof navigator.share === 'function';
  const share = () => void navigator.share({ title: subject, text: words, url: linkOf(token) }).catch(() => undefined);
  const email = () => window.open(`mailto:?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(`${words}\n\n${linkOf(token)}`)}`, '_self');
  return (
    <View className="gap-4 pt-2">
      <Txt>{name ? t('invite.sendTo', { name }) : t('invite.send')}</Txt>
      <Field label={t('invite.link')} hideLabel value={linkOf(token)} readOnly selectTextOnFocus />
      <CopyButton kind="main" text={linkOf(token)} words={t('invite.copy')} done={t('invite.copied')} failed={t('invite.copyFailed')} />
      <View className="flex-row flex-wrap gap-2">
        {canShare ? <Button onPress={share}>{t('invite.share')}</Button> : null}
        <Button onPress={email}>{t('invite.email')}</Button>
      </View>
      <View className="gap-2 pt-2">
        <Txt size={15} tone="muted">
          {t('invite.scan')}
        </Txt>
        <QrCode text={linkOf(token)} label={t('invite.qr')} />
      </View>
    </View>
  );
}
