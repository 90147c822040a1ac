/** An http or https address without a name or password in it; without a scheme it is taken for https. */
const ADDRESS = /^https?:\/\/(?<host>[^\s/?#@:]+\.[^\s/?#@:.]+)(:\d{1,5})?([/?#]\S*)?$/i;

export function addressOf(typed: string): { href: string; host: string } | null {
  const href = /^[a-z][a-z0-9+-]*:/i.test(typed) ? typed : `https://${typed}`;
  const host = ADDRESS.exec(href)?.groups?.['host'];
  return host === undefined ? null : { href, host };
}
