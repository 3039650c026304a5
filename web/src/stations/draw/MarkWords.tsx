import { TECHNIQUES, type TechniqueId } from '@kolleta/core/facts';
import { isMarkPaint, usualFilmFor } from '@kolleta/core/fit';
import { setAt, type Mark } from '@kolleta/core/job';
import { Choice, Sentence, Switch, TextWord } from '../../ui/tokens';
import { PaintChoice } from '../../frame/PaintChoice';
import type { StationProps } from '../../frame/station';
import { CopyMark } from './CopyMark';

/** The films that may be chosen; one that was chosen and is not in this workshop is named as such. */
export const filmsFor = (shop: Pick<StationProps['shop'], 'films'>, chosen: string): { value: string; label: string }[] => [
  ...(shop.films.some((f) => f.id === chosen) ? [] : [{ value: chosen, label: 'a film that is not here' }]),
  ...shop.films.map((f) => ({ value: f.id, label: f.name })),
];

/** What a mark is: its name, its technique, its film, whether it is flipped. */
export function MarkWords({
  job,
  mark,
  shop,
  edit,
  chooseMark,
}: Pick<StationProps, 'job' | 'shop' | 'edit' | 'chooseMark'> & { mark: Mark }) {
  const filmOptions = filmsFor(shop, mark.film);
  const several =
    new Set([mark.film, ...Object.values(mark.colourFilms), ...mark.edits.map((e) => ('film' in e ? e.film : undefined))].filter(Boolean))
      .size > 1;
  return (
    <div className="sheet px-4 py-3">
      <Sentence>
        <TextWord
          label="Name of the mark"
          value={mark.name}
          onChange={(name) => edit(setAt(['marks', mark.id, 'name'], name), 'Name the mark')}
        />{' '}
        is a{' '}
        <Choice
          label="Technique"
          value={mark.technique}
          options={(Object.keys(TECHNIQUES) as TechniqueId[]).map((value) => ({ value, label: TECHNIQUES[value].name }))}
          onChange={(technique) => {
            const film = usualFilmFor(technique, shop.films);
            const paint = TECHNIQUES[technique].painted ? shop.paints.find(isMarkPaint)?.id : undefined;
            edit((saved) => {
              const now = saved.marks.find((m) => m.id === mark.id);
              return [
                ...setAt(['marks', mark.id, 'technique'], technique),
                ...(film ? setAt(['marks', mark.id, 'film'], film.id) : []),
                ...setAt(['marks', mark.id, 'colourFilms'], {}),
                ...(paint && !now?.paint ? setAt(['marks', mark.id, 'paint'], paint) : []),
              ];
            }, 'Change the technique');
          }}
        />{' '}
        cut from{' '}
        <Choice
          label="Film"
          value={mark.film}
          options={filmOptions}
          onChange={(film) => edit(setAt(['marks', mark.id, 'film'], film), 'Choose the film')}
        />
        {TECHNIQUES[mark.technique].penned && job.list && (
          <>
            , each label{' '}
            <Choice
              label="Label sizes"
              value={mark.plates ?? 'equal'}
              options={[
                { value: 'equal', label: 'as large as the largest' },
                { value: 'own', label: 'as small as its words' },
              ]}
              onChange={(plates) => edit(setAt(['marks', mark.id, 'plates'], plates), 'Choose the size of the labels')}
            />
          </>
        )}
        {TECHNIQUES[mark.technique].painted && (
          <>
            , painted with <PaintChoice mark={mark} label="Paint" shop={shop} edit={edit} />
          </>
        )}
        ,{' '}
        <Switch
          label="Flip"
          on={mark.flip}
          yes="flipped left to right"
          no="not flipped"
          onChange={(on) => edit(setAt(['marks', mark.id, 'flip'], on), 'Flip')}
        />
        {several && (
          <>
            ,{' '}
            <Choice
              label="Lift"
              value={mark.lift ?? 'one'}
              options={[
                { value: 'one', label: 'lifted as one, in register' },
                { value: 'apart', label: 'laid out apart, placed by eye' },
              ]}
              onChange={(lift) => edit(setAt(['marks', mark.id, 'lift'], lift), 'Choose the lift')}
            />
          </>
        )}
        .
      </Sentence>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <CopyMark job={job} mark={mark} chooseMark={chooseMark} />
        {job.marks.length > 1 && (
          <button
            type="button"
            className="btn btn-xs btn-ghost border-base-300"
            onClick={() => edit([{ op: 'remove', path: ['marks', mark.id] }], 'Take the mark away')}
          >
            Take this mark away
          </button>
        )}
      </div>
    </div>
  );
}
