// Makes tests/Vanto.Core.Tests/References/suncalc.csv with suncalc 2.0.2: run from the root, after npm ci in src/ui.
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
const require = createRequire(new URL('../../src/ui/package.json', import.meta.url));
const sun = require('suncalc');
const getPosition = sun.getPosition ?? sun.default.getPosition;
let state = 424242;
const unit = () => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296);
const rows = ['# suncalc 2.0.2; elevation with its own refraction', 'year,month,day,hourUtc,latitude,longitude,elevationDeg,azimuthDeg'];
while (rows.length < 402) {
  const year = 1990 + Math.floor(unit() * 70), month = 1 + Math.floor(unit() * 12), day = 1 + Math.floor(unit() * 28), minute = Math.floor(unit() * 1440);
  const latitude = Math.round((-65 + unit() * 130) * 100) / 100, longitude = Math.round((-180 + unit() * 360) * 100) / 100;
  const at = getPosition(new Date(Date.UTC(year, month - 1, day, 0, minute)), latitude, longitude);
  rows.push([year, month, day, minute / 60, latitude, longitude, at.altitude, at.azimuth].join(','));
}
writeFileSync(new URL('../Vanto.Core.Tests/References/suncalc.csv', import.meta.url), rows.join('\n') + '\n');
