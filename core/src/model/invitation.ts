import type { Invitation } from './invitation-schema.ts';

export type { Invitation } from './invitation-schema.ts';

export const INVITATION_DAYS = 7;

/** Why an invitation no longer lets anyone in, or null while it does. */
export function invitationClosed(invitation: Invitation, now: string): 'withdrawn' | 'expired' | 'used' | null {
  if (invitation.withdrawnAt) return 'withdrawn';
  if (invitation.expiresAt <= now) return 'expired';
  if (invitation.uses === 'one' && invitation.joined.length > 0) return 'used';
  return null;
}
