/** Where an invitation leads. */
export const linkOf = (token: string): string => `${window.location.origin}/join/${token}`;
