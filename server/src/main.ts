import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
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
  geocoder: geocoderUrl ? new HttpGeocoder(geocoderUrl) : undefined,
  map: mapFile ? mapText(mapFile) : undefined,
});
