export type { Holder, Offset, Template, TemplateItem, TemplateKind, TemplateSection } from './template-schema.ts';

/** Ten years to either side of its day. */
export const FURTHEST_DAYS = 3_660;
export const ROLE_MAX = 40;
/** What lies in a template itself, and with all its steps. */
export const MOST_TEMPLATE_ITEMS = 500;
export const MOST_TEMPLATE_ROWS = 2_500;
export const MOST_TEMPLATES = 300;
/** So many different blanks, and roles, are asked for at once. */
export const MOST_BLANKS = 60;
export const MOST_ROLES = 30;
/** Letters in a blank's name, and in what fills it. */
export const BLANK_NAME_MAX = 40;
export const BLANK_MAX = 200;
