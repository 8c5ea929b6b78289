import type { SurveyDesign } from '../../api/generated/schema';

/** Which fields of the survey belong together, in the order of the walk round the rig. */
const under = (base: string, ...names: string[]) => names.map((n) => base + n);

export const space = ['lengthM', 'widthM', 'heightM', 'airChangesPerHour', 'gapM2', 'heatCapacityJm2K'];
export const skin = ['preset', 'insulation', 'insulationM', 'thermalBreak', 'paint'];
export const ribs = ['measured', 'metal', 'flangeM', 'depthM', 'webM', 'spacingM'];
export const skins = [
  { title: 'Walls', path: '/survey/walls' },
  { title: 'Roof', path: '/survey/roof' },
  { title: 'Floor', path: '/survey/floor' },
];
export const window = ['name', 'side', 'widthM', 'heightM', 'tiltDeg', 'count', 'glazing', 'cover'];
export const door = ['name', 'widthM', 'heightM', 'openingsPerHour', 'secondsEach'];
export const device = ['name', 'powerW', 'from', 'to', 'supply', 'inside', 'onAtStart', 'mayWait', 'shedRank'];
export const stove = ['name', 'kind', 'powerW', 'from', 'to', 'hood'];
export const people = under('/survey/people/', 'count', 'activity', 'awakeFrom', 'awakeTo', 'sleepHere');

const named = ['name', 'latitudeDeg', 'longitudeDeg', 'utcOffsetH', 'elevationM'];
export const place = under('/survey/place/', ...named, 'dryBulbC', 'nightLowC', 'humidityPct', 'windMs', 'ground');
export const placeMore = under('/survey/place/', 'month', 'day', 'linkeTurbidity', 'albedo');
export const stand = [...named, 'month', 'day', 'dryBulbC', 'nightLowC', 'humidityPct'];
export const winter = under('/survey/climate/', 'winterC', 'winterWindMs', 'winterWaterC');

/** What is under and over it; water is asked about only where there is some. */
export function underAndOver(survey: SurveyDesign): string[] {
  const afloat = survey.underside === 'water';
  const water = afloat || survey.place.ground === 'water';
  return under('/survey/', 'underside', ...(water ? ['waterC'] : []), ...(afloat ? ['waterlineM'] : []), 'overheadCover', 'motion');
}

/** An awning is asked otherwise than what stands round about. */
export function shade(survey: SurveyDesign, index: number): string[] {
  const awning = survey.shades[index]?.kind === 'awning';
  return ['kind', 'from', 'to', ...(awning ? ['side', 'depthM', 'widthM', 'offsetM'] : ['heightM', 'distanceM', 'fromDeg', 'toDeg'])];
}

export function occupant(survey: SurveyDesign, index: number): string[] {
  return ['kind', 'count', survey.occupants[index]?.kind === 'animals' ? 'massKg' : 'activity', 'from', 'to', 'alone'];
}

const at = '/survey/sources/';
const battery = ['chemistry', 'builtOf', 'nominalV', 'blockAh', 'series', 'blocks', 'blockLimitA', 'capacityLeft', 'temperatureC'];
const batteryWiring = ['cableM', 'cableMm2', 'fuseInterruptsA', 'mixed'];
const generator = [
  'kind',
  'fuel',
  'outputV',
  'ratedW',
  'maximumW',
  'chargerW',
  'autoStart',
  'coAlarm',
  'allowedFrom',
  'allowedTo',
  'startSoc',
  'stopSoc',
];

/** What is asked of each source on board; nothing of one that is not. */
export function sources(survey: SurveyDesign) {
  const s = survey.sources;
  const cells = s.battery.builtOf === 'cells';
  const inverter = ['class', 'ratedW', 'outputV', 'idleW', 'ambientC', 'inside', ...(s.inverter.inside ? ['unitW'] : []), 'modifiedSine'];
  return {
    battery: under(
      at + 'battery/',
      'fitted',
      ...(s.battery.fitted ? [...battery, ...batteryWiring].filter((f) => !cells || f !== 'nominalV') : []),
    ),
    inverter: under(at + 'inverter/', 'fitted', ...(s.inverter.fitted ? inverter : [])),
    generator: under(at + 'generator/', 'fitted', ...(s.generator.fitted ? generator : [])),
    shore: under(at + 'shore/', 'pluggedIn', ...(s.shore.pluggedIn ? ['volts', 'breakerA', 'cableM', 'cableMm2', 'assist'] : [])),
    modules: under(
      at + 'modules/',
      'count',
      ...(s.modules.count > 0
        ? ['ratedW', 'mounting', 'shadeRoof', 'cellModel', ...(s.modules.cellModel === 'noct' ? ['noctC'] : [])]
        : []),
    ),
    alternator: under(at + 'alternator/', 'powerW', 'ratedA', 'vehicleA', 'limitA', 'from', 'to'),
  };
}
