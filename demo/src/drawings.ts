import sharp from 'sharp';

/** The made-up photos of the guesthouse: drawn here, nobody and nothing in them is real. */
const WIDE = 1600;
const HIGH = 1200;

const svg = (inner: string): string => `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}" viewBox="0 0 ${WIDE} ${HIGH}">${inner}</svg>`;
const many = (count: number, draw: (nth: number) => string): string => Array.from({ length: count }, (_, nth) => draw(nth)).join('');

const SKY = '<rect width="1600" height="1200" fill="#b9cdd6"/><path d="M0 520q400-120 800-40t800-60v120H0z" fill="#5d7a6a"/>';
const water = (top: number): string =>
  `<rect y="${top}" width="1600" height="${1200 - top}" fill="#6f94a3"/>${many(9, (n) => `<path d="M${(n * 211) % 1300} ${top + 60 + n * 55}q80-14 160 0t160 0" stroke="#8fb0bb" stroke-width="7" fill="none"/>`)}`;

const DRAWINGS = {
  jetty: svg(
    `${SKY}${water(600)}${many(7, (n) => `<path d="M${520 - n * 55} ${600 + n * 86}h${560 + n * 110}l22 70H${498 - n * 55}z" fill="${n === 2 ? '#6b4a33' : '#b08a5f'}" stroke="#7a5c3d" stroke-width="5"/>`)}<path d="M620 790l150 50-90 12 120 34" stroke="#2b1d14" stroke-width="12" fill="none"/>`,
  ),
  plank: svg(
    `<rect width="1600" height="1200" fill="#a98258"/>${many(11, (n) => `<path d="M0 ${60 + n * 108}q400 ${n % 2 ? 26 : -22} 800 0t1600 8" stroke="#8d6a45" stroke-width="10" fill="none"/>`)}<path d="M180 640l430-70 260 120 520-60" stroke="#33231a" stroke-width="26" fill="none"/><circle cx="1290" cy="330" r="46" fill="#4b4b4b"/><circle cx="1290" cy="330" r="20" fill="#8a8a8a"/>`,
  ),
  gutter: svg(
    `<rect width="1600" height="1200" fill="#c8d3d6"/><path d="M0 200h1600v300H0z" fill="#6c3f34"/>${many(16, (n) => `<path d="M${n * 104} 200v300" stroke="#58322a" stroke-width="8"/>`)}<path d="M0 500h1600v90q-800 50-1600 0z" fill="#8b969b"/>${many(12, (n) => `<ellipse cx="${90 + n * 128}" cy="${505 + (n % 3) * 10}" rx="62" ry="26" fill="${n % 2 ? '#9a7b2f' : '#7d5f2a'}"/>`)}<path d="M1180 590h90v610h-90z" fill="#7b868b"/>`,
  ),
  outboard: svg(
    `${SKY}${water(630)}<path d="M240 640h760l120 160H180z" fill="#e8e2d2" stroke="#5b5b52" stroke-width="10"/><path d="M980 380h190q60 0 60 60v150H940V440q0-60 40-60z" fill="#3d4a52"/><path d="M1040 590h100l30 360h-160z" fill="#5b6a73"/><circle cx="1090" cy="960" r="70" fill="none" stroke="#a9b4ba" stroke-width="26"/><path d="M980 470h210" stroke="#c9a24a" stroke-width="20"/>`,
  ),
  plate: svg(
    `<rect width="1600" height="1200" fill="#3d4a52"/><rect x="240" y="330" width="1120" height="540" rx="26" fill="#d9dee0" stroke="#8a949a" stroke-width="10"/><g font-family="sans-serif" font-size="110" fill="#22303a"><text x="320" y="510">MODEL 15 K</text><text x="320" y="660">No. 400 271</text><text x="320" y="800">11 kW</text></g><circle cx="290" cy="380" r="18" fill="#6a747a"/><circle cx="1310" cy="380" r="18" fill="#6a747a"/>`,
  ),
} as const;
export type Drawing = keyof typeof DRAWINGS;

/** A drawing as a camera would have saved it: JPEG, 1600 × 1200. */
export const photoOf = (drawing: Drawing): Promise<Buffer> => sharp(Buffer.from(DRAWINGS[drawing])).jpeg({ quality: 84 }).toBuffer();

/** A page of PDF with these lines on it, letters of ASCII. */
export function pageOf(title: string, lines: readonly string[]): Buffer {
  const text = [`BT /F 22 Tf 60 770 Td (${title}) Tj /F 12 Tf 0 -34 Td`, ...lines.map((line) => `(${line}) Tj 0 -20 Td`), 'ET'].join('\n');
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Resources << /Font << /F 5 0 R >> >> /Contents 4 0 R >>',
    `<< /Length ${text.length} >>\nstream\n${text}\nendstream`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
  ];
  let body = '%PDF-1.4\n';
  const at = objects.map((object, nth) => {
    const from = body.length;
    body += `${nth + 1} 0 obj\n${object}\nendobj\n`;
    return from;
  });
  const table = at.map((from) => `${String(from).padStart(10, '0')} 00000 n \n`).join('');
  const start = body.length;
  return Buffer.from(
    `${body}xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${table}trailer << /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${start}\n%%EOF\n`,
  );
}
