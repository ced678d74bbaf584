// Copies the scripts and fonts that the pages serve out of the packages; nothing else of them ships.
import { cpSync, mkdirSync } from 'node:fs';

const to = 'src/Dittany.Web/wwwroot/lib';
mkdirSync(`${to}/fonts`, { recursive: true });
const files = {
  'htmx.org/dist/htmx.min.js': 'htmx.min.js',
  '@alpinejs/csp/dist/cdn.min.js': 'alpine.min.js',
  '@fontsource/young-serif/files/young-serif-latin-400-normal.woff2': 'fonts/heading-latin.woff2',
  '@fontsource/young-serif/files/young-serif-latin-ext-400-normal.woff2': 'fonts/heading-latin-ext.woff2',
  '@fontsource/young-serif/LICENSE': 'fonts/heading.LICENSE',
  '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2': 'fonts/reading-latin.woff2',
  '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff2': 'fonts/reading-latin-ext.woff2',
  '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2': 'fonts/reading-bold-latin.woff2',
  '@fontsource/atkinson-hyperlegible-next/LICENSE': 'fonts/reading.LICENSE',
};
for (const [from, name] of Object.entries(files)) {
  cpSync(`node_modules/${from}`, `${to}/${name}`);
}
