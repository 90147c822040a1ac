import { tagKey } from '@kotiva/core';
import type { Draft } from '@kotiva/core/capture';
import type { CaptureContext } from './context.tsx';

/** What the line does not say itself, the view one is in says. */
export function withContext(draft: Draft, { list, section, person, plan, tags = [] }: CaptureContext): Draft {
  const dated = draft.plan ?? draft.due ?? draft.start;
  const missing = tags.filter((tag) => !draft.tags?.some((one) => tagKey(one) === tagKey(tag)));
  return {
    ...draft,
    list: draft.list ?? list,
    section: draft.list ? draft.section : section,
    persons: draft.persons.length > 0 || !person ? draft.persons : [person],
    plan: draft.plan ?? (dated === undefined ? plan : undefined),
    tags: missing.length > 0 ? [...(draft.tags ?? []), ...missing] : draft.tags,
  };
}
