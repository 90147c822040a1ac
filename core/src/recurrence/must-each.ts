/** What can't be made good by doing the next one: payments, records, doses. */
const EACH_COUNTS =
  /(?<![\p{L}\p{N}])(?:pay(?:s|ments?|roll|slips?)?|rents?|bills?|invoices?|tax(?:es)?|vat|wages?|salar(?:y|ies)|fees?|premiums?|instalments?|records?|logbooks?|accounts?|bookkeeping|statements?|reports?|meters?|readings?|medicines?|tablets?|pills?|doses?|injections?)(?![\p{L}\p{N}])/iu;

/** Whether its title or a tag says that each one has to be done, however late. Read in English, as the typed line is. */
export const eachCounts = (title: string, tags: readonly string[] = []): boolean => [title, ...tags].some((words) => EACH_COUNTS.test(words));
