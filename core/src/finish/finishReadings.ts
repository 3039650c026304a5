import { COATS, GROUNDS } from '../facts';
import { formatTemperature, type TemperatureSystem } from '../units';
import { setAt, type Climate, type Job, type Paint, type Reading } from '../job';
import { dryingFactor } from './drying';
import type { RecipeLayer } from './recipeInput';
import { paintNeeded } from './stencil';

/** What preparing, painting and curing tell: the room, the recipe, and the paint. */
export function finishReadings(
  job: Job,
  layers: readonly RecipeLayer[],
  climate: Climate,
  paints: readonly Paint[],
  unknownGround: boolean,
  system: TemperatureSystem,
): Reading[] {
  const water = dryingFactor('water', climate);
  const other = dryingFactor('solvent', climate);
  const out = water.outOfRange || other.outOfRange;
  const room: Reading = {
    id: 'climate',
    station: 'cure',
    verdict: out ? 'watch' : 'fine',
    title: 'Drying in this room',
    value: `×${water.factor.toFixed(2)} water, ×${other.factor.toFixed(2)} others`,
    limit: '×0.5 to ×4',
    why: out
      ? 'The room is outside what drying times can be trusted for.'
      : `At ${formatTemperature(climate.celsius, system)} and ${Math.round(climate.humidity * 100)} % humidity, against 20 °C and 50 %.`,
    cures: [],
    advice: out ? 'Warm or air the room, and test with a fingertip before each step.' : undefined,
  };
  const readings = [room];
  if (unknownGround) {
    readings.push({
      id: 'recipe',
      station: 'prepare',
      verdict: 'watch',
      title: 'Preparation',
      value: GROUNDS[job.piece.ground].name,
      limit: 'a written recipe',
      why: `There is no recipe for ${GROUNDS[job.piece.ground].name} yet; a general one is used.`,
      cures: [],
      advice: 'Ask the maker of the piece, and try it on a hidden spot.',
    });
  }
  for (const mark of job.marks.filter((m) => m.technique === 'stencil')) {
    const paint = paints.find((p) => p.id === mark.paint);
    const area = layers.filter((layer) => layer.mark.id === mark.id).reduce((sum, layer) => sum + layer.area, 0);
    const needs = paintNeeded(area, mark.coats, job.count);
    const base = {
      id: `paint:${mark.id}`,
      station: 'paint' as const,
      title: `Paint for ${mark.name}`,
      limit: `${Math.ceil(needs)} ml for ${mark.coats === 1 ? 'one coat' : `${mark.coats} coats`}`,
    };
    const others = paints
      .filter((p) => p.id !== mark.paint && p.volume >= needs && (p.coat === 'acrylic' || p.coat === 'chalkPaint'))
      .slice(0, 2);
    const cures = others.map((p) => ({
      label: `${p.name} — ${Math.floor(p.volume)} ml left`,
      patch: setAt(['marks', mark.id, 'paint'], p.id),
    }));
    if (!paint) readings.push({ ...base, verdict: 'stop', value: 'none chosen', why: 'A stencil needs a paint.', cures });
    else if (paint.volume < needs)
      readings.push({
        ...base,
        verdict: 'watch',
        value: `${Math.floor(paint.volume)} ml left`,
        why: `${paint.name} runs short.`,
        cures,
        advice: `Buy ${paint.name}.`,
      });
    else
      readings.push({
        ...base,
        verdict: 'fine',
        value: `${Math.floor(paint.volume)} ml left`,
        why: `${COATS[paint.coat].name}, dabbed.`,
        cures: [],
      });
  }
  return readings;
}
