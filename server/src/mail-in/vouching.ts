import type { ParsedMail } from 'mailparser';

/** Who stands for a mail, and whether anybody wrote it. */

/** `pass`: the receiving server says it comes from where it says. `fail`: it says it does not. `none`: nobody says anything. */
export type Vouched = 'pass' | 'fail' | 'none';

const MOST_HEADERS = 20;

/**
 * What the receiving server found (RFC 8601 Authentication-Results). Only headers with its own name are believed: it takes those of
 * others with that name away. DMARC (RFC 7489) counts before DKIM and SPF, which have to be of the sender's own domain.
 */
export function vouchedFor(mail: Pick<ParsedMail, 'headerLines' | 'from'>, trust: string | null): Vouched {
  if (trust === null) return 'none';
  const domain = domainOf(mail.from?.value[0]?.address ?? '');
  const results = mail.headerLines
    .filter(({ key }) => key === 'authentication-results')
    .slice(0, MOST_HEADERS)
    .map(({ line }) =>
      line
        .slice(0, 4_000)
        .replace(/^[^:]*:/, '')
        .replace(/\([^()]*\)/g, ' ')
        .toLowerCase(),
    ) // prettier-ignore
    .filter((value) => value.split(';')[0]!.trim().split(/\s/)[0] === trust.toLowerCase())
    .flatMap((value) => value.split(';').slice(1));
  const dmarc = results.find((one) => one.trim().startsWith('dmarc='));
  if (dmarc) return /^\s*dmarc=pass\b/.test(dmarc) ? 'pass' : /^\s*dmarc=fail\b/.test(dmarc) ? 'fail' : 'none';
  const aligned = results.some((one) => /^\s*dkim=pass\b/.test(one) && isOf(domain, /header\.(?:d|i)=(?:[^\s@]*@)?([^\s;]+)/.exec(one)?.[1])) // prettier-ignore
    || results.some((one) => /^\s*spf=pass\b/.test(one) && isOf(domain, /smtp\.mailfrom=(?:[^\s@]*@)?([^\s;]+)/.exec(one)?.[1])); // prettier-ignore
  if (aligned) return 'pass';
  return results.some((one) => /^\s*(?:dkim|spf)=fail\b/.test(one)) ? 'fail' : 'none';
}

const domainOf = (address: string): string => address.toLowerCase().split('@').at(-1) ?? '';
const isOf = (domain: string, said: string | undefined): boolean => said !== undefined && domain !== '' && (domain === said || domain.endsWith(`.${said}`));

/** Written by a machine or to many: an automatic answer (RFC 3834), a list (RFC 2919), a report that something came back (RFC 3464). */
export function isAutomatic({ headers, from }: Pick<ParsedMail, 'headers' | 'from'>, returnPath: string | null): boolean {
  const said = (name: string): string => {
    const value = headers.get(name);
    return typeof value === 'string' ? value.toLowerCase().trim() : value === undefined ? '' : JSON.stringify(value).toLowerCase();
  };
  const auto = said('auto-submitted');
  if (auto !== '' && !auto.startsWith('no')) return true;
  if (/^(?:bulk|list|junk|auto_reply)/.test(said('precedence'))) return true;
  // mailparser gathers what RFC 2369 says under one name
  if (headers.has('list-id') || headers.has('list') || headers.has('list-unsubscribe')) return true;
  if (headers.has('x-autoreply') || headers.has('x-autorespond')) return true;
  if (said('content-type').includes('multipart/report') || returnPath === '') return true;
  return /^(?:mailer-daemon|postmaster|no-?reply)@/i.test(from?.value[0]?.address ?? '');
}
