import type { Access, Role } from '@kotiva/core';

/** What somebody of a role can be given of a list, from nothing on: a helper never more than checking off. */
export const accessesFor = (role: Role): readonly (Access | 'none')[] => (role === 'helper' ? ['none', 'view', 'check'] : ['none', 'view', 'check', 'edit']);
