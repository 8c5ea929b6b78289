// Reads cases [value, kind, units] from standard input and prints what the page would show for each.
import { createRequire } from 'node:module';
import { json } from 'node:stream/consumers';
import { pathToFileURL } from 'node:url';

const ui = process.argv[2];
const cases = await json(process.stdin);
const packages = createRequire(ui + '/package.json');
const { createServer } = await import(pathToFileURL(packages.resolve('vite')).href);
packages('vue');
const vite = await createServer({ root: ui, configFile: false, server: { middlewareMode: true, ws: false }, appType: 'custom', logLevel: 'error' });
// What the page's settings ask of a browser; Vue was loaded without it.
globalThis.navigator ??= { language: 'en' };
globalThis.document = { documentElement: { dataset: {} } };
const { shown } = await vite.ssrLoadModule('/src/parts/show.ts');
const { settings } = await vite.ssrLoadModule('/src/parts/settings.ts');
console.log(JSON.stringify(cases.map(([value, kind, units]) => ((settings.units = units), shown(value, kind)))));
await vite.close();
