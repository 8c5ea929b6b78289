// Makes tests/Vanto.Core.Tests/References/psychrolib.csv with psychrolib 1.1.1: run from the root, after npm ci in src/ui.
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';
const psychro = createRequire(new URL('../../src/ui/package.json', import.meta.url))('psychrolib');
psychro.SetUnitSystem(psychro.SI);
let state = 20260719;
const unit = () => ((state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296);
const rows = ['# psychrolib 1.1.1', 'elevationM,dryBulbC,rhPct,pressurePa,saturationPa,ratio,dewPointC,wetBulbC,enthalpyJ,volumeM3'];
for (let i = 0; i < 400; i++) {
  const elevation = Math.round(unit() * 3500);
  const t = Math.round((-30 + unit() * 85) * 100) / 100;
  const rh = Math.round((3 + unit() * 97) * 10) / 10;
  const p = psychro.GetStandardAtmPressure(elevation);
  const w = psychro.GetHumRatioFromRelHum(t, rh / 100, p);
  rows.push([
    elevation, t, rh, p,
    psychro.GetSatVapPres(t), w,
    psychro.GetTDewPointFromRelHum(t, rh / 100), psychro.GetTWetBulbFromRelHum(t, rh / 100, p),
    psychro.GetMoistAirEnthalpy(t, w), psychro.GetMoistAirVolume(t, w, p),
  ].join(','));
}
writeFileSync(new URL('../Vanto.Core.Tests/References/psychrolib.csv', import.meta.url), rows.join('\n') + '\n');
