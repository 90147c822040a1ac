import { invitationClosed, type Invitation } from '@kotiva/core';
import { View } from 'react-native';
import { InviteSheet, linkOf } from '@/features/invite';
import { nameOf } from '@/features/item';
import { useSubmit } from '@/store/live-house.tsx';
import { useNow, useOpenHouse } from '@/store/store.ts';
import { Button, CopyButton, Field, GroupHead, Txt, useSheet } from '@/ui';
import { t, together } from '@/words';
import { sayInstant } from '@/words/dates.ts';

/** Links to pass on: as what, into which lists, for how many. */
export function Invitations() {
  const { rows } = useOpenHouse();
  const now = useNow();
  const [making, setMaking] = useSheet('invite');
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

function InvitationRow({ invitation }: { invitation: Invitation }) {
  const { rows, house } = useOpenHouse();
  const now = useNow();
  const submit = useSubmit();
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
      <Field label={t('invite.link')} hideLabel value={linkOf(invitation.token)} readOnly selectTextOnFocus />
      <View className="flex-row">
        <CopyButton kind="quiet" text={linkOf(invitation.token)} words={t('invite.copy')} done={t('invite.copied')} failed={t('invite.copyFailed')} />
        <Button kind="quiet" tone="late" onPress={() => submit('invitation.withdraw', { invitation: invitation.id }, { words: t('said.withdrawn') })}>
          {t('invite.withdraw')}
        </Button>
      </View>
    </View>
  );
}
