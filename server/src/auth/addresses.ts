import ipaddr from 'ipaddr.js';

/** IP addresses: who asks, through which proxies, and which are out on the Internet. */

type Parsed = ipaddr.IPv4 | ipaddr.IPv6;

/** IPv4 behind an IPv6 socket is IPv4; null: it is no address. */
function parsed(address: string): Parsed | null {
  const plain = address.replace(/^\[|\]$/g, '').split('%')[0]!;
  return ipaddr.isValid(plain) ? ipaddr.process(plain) : null;
}

/** Whom attempts are counted against: an IPv4 address, or the /64 of an IPv6 one, which is one connection's. */
export function networkOf(address: string): string {
  const found = parsed(address);
  if (found === null) return address;
  if (found.kind() === 'ipv4') return found.toString();
  return `${(found as ipaddr.IPv6).parts.slice(0, 4).map((part) => part.toString(16)).join(':')}::/64`; // prettier-ignore
}

/** Out on the Internet: not this machine, not a private network, nothing reserved. */
export const isPublic = (address: string): boolean => parsed(address)?.range() === 'unicast';

/** The machines whose word about who asks is taken. */
export class TrustedProxies {
  private readonly ranges: [Parsed, number][];

  /** Addresses or CIDR ranges. Throws for what is neither. */
  constructor(list: readonly string[]) {
    this.ranges = list.map((one) => (one.includes('/') ? ipaddr.parseCIDR(one) : [ipaddr.process(one), ipaddr.process(one).kind() === 'ipv4' ? 32 : 128]));
  }

  has(address: string): boolean {
    const found = parsed(address);
    return found !== null && this.ranges.some(([range, bits]) => range.kind() === found.kind() && found.match(range as never, bits));
  }

  /**
   * Who asks: the nearest address that is no proxy of ours. `Forwarded` (RFC 7239) before `X-Forwarded-For`; of each the last entry is the
   * nearest. What somebody further away wrote is not believed.
   */
  clientOf(remote: string, { forwarded, forwardedFor }: { forwarded?: string; forwardedFor?: string }): string {
    if (!this.has(remote)) return remote;
    const chain = forwarded === undefined ? listOf(forwardedFor) : listOf(forwarded).flatMap(forOf);
    let nearest = remote;
    for (const address of chain.reverse()) {
      if (parsed(address) === null) break;
      nearest = address;
      if (!this.has(address)) break;
    }
    return nearest;
  }
}

const MOST_HOPS = 20;
const listOf = (header: string | undefined): string[] => (header ?? '').slice(0, 2_000).split(',').slice(-MOST_HOPS).map((one) => one.trim()); // prettier-ignore

/** The `for=` of one element, without quotes and port. */
function forOf(element: string): string[] {
  const pair = element.split(';').find((one) => /^\s*for=/i.test(one));
  const value = pair?.slice(pair.indexOf('=') + 1).trim().replace(/^"|"$/g, ''); // prettier-ignore
  if (!value) return [];
  return [/^\[([^\]]+)\]/.exec(value)?.[1] ?? value.replace(/:\d+$/, '')];
}
