import { COATS, EDGE_SEALS, ETCHING, PAINT_TOOLS, TECHNIQUES, type EdgeSealId, type PaintToolId } from '@kolleta/core/facts';
import { dryingTimes, pressOf } from '@kolleta/core/finish';
import { removeAt, setAt, type Film, type Mark, type PullAt } from '@kolleta/core/job';
import { capital, formatDuration, inSentence } from '@kolleta/core/units';
import { PaintChoice } from '../../frame/PaintChoice';
import type { StationProps } from '../../frame/station';
import { Choice, CountWord, Sentence } from '../../ui/tokens';
import { PressWords } from '../../frame/PressWords';

const PULL: readonly { value: PullAt; label: string }[] = [
  { value: 'halfDry', label: 'half dry: the cleanest edge' },
  { value: 'nearlyDry', label: 'nearly dry: paint does not run any more' },
  { value: 'dry', label: 'dry: no hurry, but thick paint may tear' },
];
const EDGES = (Object.keys(EDGE_SEALS) as EdgeSealId[]).map((value) => ({ value, label: EDGE_SEALS[value].name }));
const EDGE_WHY: Record<EdgeSealId, string> = {
  ground: 'What creeps under has the colour of the ground, and is not seen.',
  clear: 'What creeps under is clear, and stops the colour.',
  none: 'Quicker, where the ground is smooth and the film lies tight; on grain, colour creeps under.',
};

type Props = Pick<StationProps, 'shop' | 'edit'> & { mark: Mark };

/** How a mark is painted: the paint, the tool, the coats, the edge, and when the film comes off. */
function PaintWords({ mark, shop, edit }: Props) {
  const paint = shop.paints.find((p) => p.id === mark.paint);
  const times = paint && dryingTimes(paint.coat, shop.climate);
  const around = TECHNIQUES[mark.technique].stays === 'ground';
  const edge = mark.edge ?? 'clear';
  const set = (field: keyof Mark, value: string | number, what: string) => edit(setAt(['marks', mark.id, field], value), what);
  return (
    <>
      <Sentence>
        {around ? `Paint over ${mark.name} and all around it, edges too, with` : `Paint ${mark.name} with`}{' '}
        <PaintChoice mark={mark} label={`Paint of ${mark.name}`} shop={shop} edit={edit} /> in{' '}
        <CountWord
          label={`Coats of ${mark.name}`}
          value={mark.coats}
          most={9}
          onChange={(coats) => set('coats', coats, 'Change the coats')}
        />{' '}
        thin {mark.coats === 1 ? 'coat' : 'coats'}, put on with{' '}
        <Choice
          label={`Tool for ${mark.name}`}
          value={mark.tool ?? 'usual'}
          options={[
            { value: 'usual', label: 'what suits its size' },
            ...(Object.keys(PAINT_TOOLS) as PaintToolId[]).map((value) => ({ value, label: PAINT_TOOLS[value].name })),
          ]}
          onChange={(tool) =>
            tool === 'usual' ? edit(removeAt(['marks', mark.id, 'tool']), 'Choose the tool') : set('tool', tool, 'Choose the tool')
          }
        />
        . Before the colour, seal its edges with{' '}
        <Choice
          label={`Edge of ${mark.name}`}
          value={edge}
          options={EDGES}
          onChange={(seal) => set('edge', seal, 'Choose how the edge is sealed')}
        />
        . Pull the film{' '}
        <Choice
          label={`Pull ${mark.name}`}
          value={mark.pullAt}
          options={PULL}
          onChange={(pullAt) => set('pullAt', pullAt, 'Choose when to pull')}
        />
        .
      </Sentence>
      <p className="quiet text-sm">
        {EDGE_WHY[edge]}{' '}
        {paint && times
          ? `${capital(COATS[paint.coat].name)}: touch dry in ${formatDuration(times.touchDry)}, to recoat in ` +
            `${formatDuration(times.recoat)} in this room.`
          : ''}
      </p>
    </>
  );
}

/** How long etching cream stays on. */
function EtchWords({ mark, edit }: Props) {
  return (
    <>
      <Sentence>
        Leave the cream on {mark.name} for{' '}
        <CountWord
          label={`Minutes of cream on ${mark.name}`}
          value={mark.dwell ?? ETCHING.usual}
          most={ETCHING.most}
          onChange={(dwell) => edit(setAt(['marks', mark.id, 'dwell'], dwell), 'Change the time of the cream')}
        />{' '}
        min, as the sheet of your cream says.
      </Sentence>
      <p className="quiet text-sm">
        {ETCHING.usual} min is a start; {ETCHING.most} min are the most: longer does not etch more. What the film covers stays clear.
      </p>
    </>
  );
}

/** How the films of a mark are pressed on: what is typed here is kept with the film in stock. */
function HeatWords({ mark, films, shop }: { mark: Mark; films: readonly Film[]; shop: StationProps['shop'] }) {
  return (
    <>
      {films.map((film, i) => (
        <div key={film.id}>
          <Sentence>
            {films.length > 1 ? `${i + 1}. ` : ''}
            Press {mark.name}, of {inSentence(film.name)}, <PressWords film={film} system={shop.temperatures} />.
          </Sentence>
          {!film.press && (
            <p className="quiet text-sm">
              Usual for such film. Its own sheet comes first: type what it says, and it is kept with the film.
            </p>
          )}
        </div>
      ))}
    </>
  );
}

/** What is decided about how the marks of a job are made on the piece. */
export function MakingWords({ job, plan, shop, edit }: Pick<StationProps, 'job' | 'plan' | 'shop' | 'edit'>) {
  return job.marks
    .filter(({ technique }) => TECHNIQUES[technique].madeAt !== undefined)
    .map((mark) => {
      const { painted, stays } = TECHNIQUES[mark.technique];
      const films = plan.layers
        .filter((layer) => layer.mark === mark.id)
        .map(({ film }) => shop.films.find(({ id }) => id === film.id) ?? film);
      return (
        <div key={mark.id} className="sheet px-4 py-3">
          {painted ? (
            <PaintWords mark={mark} shop={shop} edit={edit} />
          ) : stays === 'etching' ? (
            <EtchWords mark={mark} shop={shop} edit={edit} />
          ) : (
            <HeatWords mark={mark} films={films.filter((film) => pressOf(film) !== undefined)} shop={shop} />
          )}
        </div>
      );
    });
}
