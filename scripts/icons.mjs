/** The program's icon for home screens, drawn once from its numbers: node scripts/icons.mjs */
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';

const folder = join(dirname(fileURLToPath(import.meta.url)), '../web/public/icons');
/** A tool roll, laid open: slots with a socket, a spanner and a key in them. `room` is the margin that a mask may cut. */
const drawing = (room) => {
  const s = 512;
  const [x, y, w, h] = [room, s * 0.3 + room * 0.2, s - 2 * room, s * 0.46 - room * 0.2];
  const slot = (i) => x + (w * (i + 1)) / 5;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${s}" height="${s}" viewBox="0 0 ${s} ${s}">
    <rect width="${s}" height="${s}" fill="#ECE5D6"/>
    <rect x="${slot(0) - w * 0.14}" y="${y - h * 0.3}" width="${w * 0.08}" height="${h * 0.8}" fill="#20231F"/>
    <circle cx="${slot(1) - w * 0.1}" cy="${y - h * 0.2}" r="${w * 0.055}" fill="none" stroke="#20231F" stroke-width="${w * 0.035}"/>
    <rect x="${slot(1) - w * 0.12}" y="${y - h * 0.1}" width="${w * 0.04}" height="${h * 0.6}" fill="#20231F"/>
    <path d="M${slot(2) - w * 0.1} ${y - h * 0.32}l${w * 0.05} ${w * 0.03}v${w * 0.06}l${-w * 0.05} ${w * 0.03}l${-w * 0.05} ${-w * 0.03}v${-w * 0.06}z" fill="#1F5A41"/>
    <rect x="${slot(3) - w * 0.125}" y="${y - h * 0.26}" width="${w * 0.05}" height="${h * 0.7}" fill="#20231F"/>
    <rect x="${slot(4) - w * 0.12}" y="${y - h * 0.16}" width="${w * 0.04}" height="${h * 0.6}" fill="#20231F"/>
    <rect x="${x}" y="${y}" width="${w}" height="${h}" fill="#F7F3EA" stroke="#20231F" stroke-width="14"/>
    <path d="M${x} ${y + h * 0.26}h${w}${[0, 1, 2, 3].map((i) => `M${slot(i)} ${y + h * 0.26}V${y + h}`).join('')}" fill="none" stroke="#20231F" stroke-width="9" stroke-dasharray="18 14"/>
  </svg>`;
};

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
for (const [name, size, room] of [
  ['icon-192', 192, 56],
  ['icon-512', 512, 56],
  ['icon-maskable-512', 512, 104],
]) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  const svg = drawing(room);
  await page.setContent(
    `<body style="margin:0"><img style="display:block;width:${size}px;height:${size}px" src="data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}"></body>`,
  );
  await page.waitForFunction(() => document.images[0].complete);
  writeFileSync(join(folder, `${name}.png`), await page.screenshot());
  await page.close();
}
await browser.close();
