import { finding, byPosition, relationToList, type Access, type Role } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSubmit } from '@/store/live-house.tsx';
import { useOpenHouse } from '@/store/store.ts';
import { Button, Choice, Field, Foot, Heading, Sheet, Txt } from '@/ui';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';

export const linkOf = (token: string): string => `${window.location.origin}/join/${token}`;

/** 32 random bytes in base64url: nobody guesses it. */
function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

/** A link to pass on, made here and shown at once. `name`: whom it is for, where that is known. */
export function InviteSheet({ name, onClose }: { name?: string; onClose: () => void }) {
  const { rows, me } = useOpenHouse();
  const submit = useSubmit();
  const [role, setRole] = useState<Exclude<Role, 'outside'>>('member');
  const [uses, setUses] = useState<'one' | 'several'>('one');
  const [access, setAccess] = useState<Record<string, Access>>({});
  const [error, setError] = useState<string | null>(null);
  const [token] = useState(newToken);
  const [isMade, setMade] = useState(false);
  const lists = rows
    .all('list')
    .filter((list) => !list.removedAt && !list.filedAt && relationToList(list.id, me, finding(rows)) !== null)
    .sort(byPosition);
  const make = () => {
    const reason = submit(
      'invitation.make',
      { role, uses, token, lists: Object.entries(access).map(([listId, one]) => ({ listId, access: one })) },
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
                  value={access[list.id] ?? 'none'}
                  onChange={(next) => {
                    const { [list.id]: _old, ...rest } = access;
                    setAccess(next === 'none' ? rest : { ...rest, [list.id]: next });
                  }}
                  options={(['none', 'view', 'check', 'edit'] as const).map((value) => ({ value, words: t(`access.${value}`) }))}
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

function Made({ token, name }: { token: string; name?: string }) {
  const [copied, setCopied] = useState(false);
  const copy = () => void navigator.clipboard?.writeText(linkOf(token)).then(() => setCopied(true));
  return (
    <View className="gap-4 pt-2">
      <Txt>{name ? t('invite.sendTo', { name }) : t('invite.send')}</Txt>
      <Field label={t('invite.link')} hideLabel value={linkOf(token)} readOnly selectTextOnFocus />
      <Button kind="main" onPress={copy}>
        {t(copied ? 'invite.copied' : 'invite.copy')}
      </Button>
    </View>
  );
}
