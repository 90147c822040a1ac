import * as z from 'zod/mini';
import { Id } from '../model/row-schema.ts';
import { BLANK_MAX, BLANK_NAME_MAX, MOST_BLANKS, MOST_ROLES, type Template, type TemplateItem } from '../model/template.ts';
import { askedBy } from '../templates/asked.ts';
import type { Filling } from '../templates/laid-out.ts';
import type { Deciding } from './deciding.ts';
import { needPerson } from './parts.ts';
import { refuse } from './reasons.ts';

/** What a template asks for, said and checked: where it is used, and where a chore uses it each time. */

const few = <V extends z.ZodMiniType>(most: number, key: z.ZodMiniString<string>, value: V) => z.record(key, value).check(z.refine((all) => Object.keys(all).length <= most)); // prettier-ignore

/** How a command says it. */
export const FILLING = {
  blanks: z._default(few(MOST_BLANKS, z.string().check(z.maxLength(BLANK_NAME_MAX)), z.string().check(z.trim(), z.maxLength(BLANK_MAX))), {}),
  roles: z._default(few(MOST_ROLES * 2, z.string().check(z.maxLength(40)), z.array(Id).check(z.maxLength(60))), {}),
};

export const seesTemplate = (id: string, d: Deciding): boolean => {
  const template = d.find('template', id);
  return template !== undefined && (template.isShared || template.ownerId === d.actorOrNull?.id);
};

export const byKey = <V>(said: Record<string, V>): Record<string, V> =>
  Object.fromEntries(Object.entries(said).map(([key, value]) => [key.trim().toLowerCase(), value]));

/** What is missing is named; whoever is said has to be here. The day is asked for where there is none. */
export function refuseMissing(template: Template, items: readonly TemplateItem[], { anchor, blanks, roles }: Filling, d: Deciding): void {
  if (items.length === 0 && !template.text) refuse('template-empty', { name: template.name });
  const asked = askedBy(template, items, d);
  if (asked.anchor && anchor === null) refuse('template-day-missing', { name: template.anchorName }, 'anchor');
  const blank = asked.blanks.filter((name) => !blanks[name.toLowerCase()]);
  if (blank.length > 0) refuse('template-blank-missing', { names: blank }, 'blanks');
  const open = [...asked.roles.filter((role) => !roles[role.toLowerCase()]), ...asked.gone.filter(({ id }) => !roles[id]).map(({ name }) => name)];
  if (open.length > 0) refuse('template-role-missing', { names: open }, 'roles');
  for (const persons of Object.values(roles)) for (const id of persons) needPerson(id, d, 'roles');
}

/** Tags, situations and places that are gone by now are left out. */
export function stillThere({ tagIds, situationIds, placeId }: TemplateItem, d: Deciding) {
  const place = placeId === null ? undefined : d.find('place', placeId);
  return {
    tagIds: tagIds.filter((id) => d.find('tag', id)?.removedAt === null),
    situationIds: situationIds.filter((id) => d.find('situation', id)?.removedAt === null),
    placeId: place && place.removedAt === null ? placeId : null,
  };
}
