import { byPosition, footingInList, invitationClosed, type Access, type Invitation, type Role } from '@kotiva/core';
import { useState } from 'react';
import { View } from 'react-native';
import { lookup, nameOf } from '@/features/item';
import { useGive } from '@/store/live-house.tsx';
import { useNow, usePlace } from '@/store/store.ts';
import { Button, Choice, Field, GroupHead, Heading, Sheet, Txt } from '@/ui';
import { t, together } from '@/words';
import { sayInstant } from '@/words/dates.ts';
import { sayReason } from '@/words/problems.ts';

/** Links to pass on: as what, into which lists, for how many. */
export function Invitations() {
  const { rows } = usePlace();
  const now = useNow();
  const [making, setMaking] = useState(false);
  const open = rows
    .all('invitation')
    .filter((invitation) => invitationClosed(invitation, now) === null)
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  return (
    <View>
      <GroupHead title={t('invite.title')} count={open.length || undefined} />
      {open.map((invitation) => (
        <InvitationRow key={invitation.id} invitation={invitation} />
      ))}
      <View className="px-4 py-3">
        <Button kind="main" onPress={() => setMaking(true)}>
          {t('invite.make')}
        </Button>
      </View>
      {making ? <InviteSheet onClose={() => setMaking(false)} /> : null}
    </View>
  );
}

const linkOf = ({ token }: Invitation): string => `${window.location.origin}/join/${token}`;

function InvitationRow({ invitation }: { invitation: Invitation }) {
  const { rows, house } = usePlace();
  const now = useNow();
  const give = useGive();
  const [copied, setCopied] = useState(false);
  const copy = () => void navigator.clipboard?.writeText(linkOf(invitation)).then(() => setCopied(true));
  const joined = invitation.joined.map((id) => nameOf(rows, id));
  return (
    <View className="gap-1 border-b border-line px-4 py-3">
      <Txt face="medium">{t('invite.as', { role: t(`role.${invitation.role}`), uses: t(`invite.${invitation.uses}`) })}</Txt>
      <Txt size={13} tone="muted">
        {[
          t('invite.until', { when: sayInstant(invitation.expiresAt, now, house.zone) }),
          joined.length > 0 ? t('invite.joined', { names: together(joined) }) : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Txt>
      <Field label={t('invite.link')} hideLabel value={linkOf(invitation)} readOnly selectTextOnFocus />
      <View className="flex-row">
        <Button kind="quiet" onPress={copy}>
          {t(copied ? 'invite.copied' : 'invite.copy')}
        </Button>
        <Button kind="quiet" tone="late" onPress={() => give('invitation.withdraw', { invitation: invitation.id }, { words: t('said.withdrawn') })}>
          {t('invite.withdraw')}
        </Button>
      </View>
    </View>
  );
}

/** 32 random bytes in base64url: nobody guesses it. */
function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

function InviteSheet({ onClose }: { onClose: () => void }) {
  const { rows, me } = usePlace();
  const give = useGive();
  const [role, setRole] = useState<Exclude<Role, 'outside'>>('member');
  const [uses, setUses] = useState<'one' | 'several'>('one');
  const [access, setAccess] = useState<Record<string, Access>>({});
  const [error, setError] = useState<string | null>(null);
  const lists = rows
    .all('list')
    .filter((list) => !list.removedAt && !list.filedAt && footingInList(list.id, me, lookup(rows)) !== null)
    .sort(byPosition);
  const make = () => {
    const reason = give(
      'invitation.make',
      { role, uses, token: newToken(), lists: Object.entries(access).map(([listId, one]) => ({ listId, access: one })) },
      { words: t('said.invitationMade'), ownRefusal: true },
    );
    if (reason) setError(sayReason(reason));
    else onClose();
  };
  return (
    <Sheet open onClose={onClose} title={t('invite.make')} closeLabel={t('common.close')} head={<Heading level={2}>{t('invite.make')}</Heading>}>
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
        <Button kind="main" onPress={make}>
          {t('invite.makeLink')}
        </Button>
      </View>
    </Sheet>
  );
}
