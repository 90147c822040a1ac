import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { TrustedProxies } from './auth/addresses.ts';
import { HttpGeocoder } from './places/geocoder.ts';
import { portOf, root, startServer, stop } from './serve.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4100' },
    host: { type: 'string', default: process.env.KOTIVA_HOST ?? '127.0.0.1' },
    data: { type: 'string', default: process.env.KOTIVA_DATA ?? join(root, '.data/kotiva') },
    simulate: { type: 'boolean', default: false },
  },
});

const signUp = process.env.KOTIVA_SIGN_UP ?? 'open';
const metricsPort = process.env.KOTIVA_METRICS_PORT;
if (signUp !== 'open' && signUp !== 'invited' && signUp !== 'closed') stop(`KOTIVA_SIGN_UP is open, invited or closed, not '${signUp}'.`);

/** Addresses and ranges, with commas between them. */
function proxiesIn(text: string): string[] {
  const list = text.split(',').map((one) => one.trim()).filter(Boolean); // prettier-ignore
  try {
    new TrustedProxies(list);
    return list;
  } catch {
    return stop(`KOTIVA_TRUSTED_PROXIES is a list of addresses or ranges such as 10.0.0.0/8, not '${text}'.`);
  }
}

/** From 1 megabyte on. */
function megabytesIn(name: string, text: string): number {
  const megabytes = Number(text);
  return Number.isInteger(megabytes) && megabytes >= 1 && megabytes <= 1_000_000 ? megabytes : stop(`${name} is a whole number of megabytes from 1, not '${text}'.`); // prettier-ignore
}

const bytesIn = (name: string, text: string | undefined): number | undefined => (text ? megabytesIn(name, text) * 1024 * 1024 : undefined);

const [fileBytes, houseBytes] = [bytesIn('KOTIVA_FILE_MB', process.env.KOTIVA_FILE_MB), bytesIn('KOTIVA_HOUSE_FILES_MB', process.env.KOTIVA_HOUSE_FILES_MB)];

const geocoderUrl = process.env.KOTIVA_GEOCODER_URL;
const mapFile = process.env.KOTIVA_MAP;
if (geocoderUrl && !URL.canParse(geocoderUrl)) stop(`'${geocoderUrl}' is not an address. Give KOTIVA_GEOCODER_URL as https://…`);

/** A drawing that can't be read is said at once, not when somebody opens the map. */
function mapText(file: string): string {
  try {
    const text = readFileSync(file, 'utf8');
    JSON.parse(text);
    return text;
  } catch (error) {
    return stop(`The map ${file} can't be read: ${(error as Error).message}. Give KOTIVA_MAP as a GeoJSON file.`);
  }
}

await startServer({
  ...values,
  port: portOf(values.port),
  demo: false,
  publicUrl: process.env.KOTIVA_PUBLIC_URL,
  smtpUrl: process.env.KOTIVA_SMTP_URL,
  smtpInPort: process.env.KOTIVA_SMTP_IN_PORT ? portOf(process.env.KOTIVA_SMTP_IN_PORT) : undefined,
  mailDomain: process.env.KOTIVA_MAIL_DOMAIN,
  mailTrust: process.env.KOTIVA_MAIL_TRUST,
  signUp,
  trustedProxies: proxiesIn(process.env.KOTIVA_TRUSTED_PROXIES ?? ''),
  cacheMb: process.env.KOTIVA_CACHE_MB ? megabytesIn('KOTIVA_CACHE_MB', process.env.KOTIVA_CACHE_MB) : undefined,
  fileLimits: { ...(fileBytes ? { file: fileBytes } : {}), ...(houseBytes ? { house: houseBytes } : {}) },
  metricsPort: metricsPort ? portOf(metricsPort) : undefined,
  geocoder: geocoderUrl ? new HttpGeocoder(geocoderUrl) : undefined,
  map: mapFile ? mapText(mapFile) : undefined,
});
