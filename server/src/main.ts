import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { portOf, root, startServer } from './serve.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4100' },
    host: { type: 'string', default: process.env.KOTIVA_HOST ?? '127.0.0.1' },
    data: { type: 'string', default: process.env.KOTIVA_DATA ?? join(root, '.data/kotiva') },
    simulate: { type: 'boolean', default: false },
  },
});

await startServer({
  ...values,
  port: portOf(values.port),
  demo: false,
  publicUrl: process.env.KOTIVA_PUBLIC_URL,
  smtpUrl: process.env.KOTIVA_SMTP_URL,
  smtpInPort: process.env.KOTIVA_SMTP_IN_PORT ? portOf(process.env.KOTIVA_SMTP_IN_PORT) : undefined,
  mailDomain: process.env.KOTIVA_MAIL_DOMAIN,
});
