import { Fragment } from 'react';
import { FILM_KINDS, FINISH_GRIP, USUAL_PIECES, type FilmFinish, type FilmKindId } from '@kolleta/core/facts';
import { pressOf } from '@kolleta/core/finish';
import { PressWords } from '../../frame/PressWords';
import { removeAt, setAt, type Film, type FilmPiece, type Shop } from '@kolleta/core/job';
import { formatLength, plural } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { logPieceGone } from '../../storage/logEvent';
import { useWorkshop } from '../../storage/useWorkshop';
import { newId } from '../../storage/newId';
import { OffcutOutline } from './OffcutOutline';
import { ColourWord } from '../../frame/ColourWord';
import { Choice, CountWord, LengthWord, MoneyWord, Sentence, Switch, TextWord } from '../../ui/tokens';

const KINDS = (Object.keys(FILM_KINDS) as FilmKindId[]).map((value) => ({ value, label: FILM_KINDS[value].name }));
const FINISHES = (Object.keys(FINISH_GRIP) as FilmFinish[]).map((value) => ({ value, label: value }));
const MOST_COLOURS = 6;

/** All colours of a pattern, or what a colour-changing film turns to. */
function Colours({ film, colours }: { film: Film; colours: readonly string[] }) {
  const at = ['films', film.id];
  const edit = (change: (had: string[]) => string[]) =>
    editShop((shop) => {
      const saved = shop.films.find(({ id }) => id === film.id);
      return saved ? setAt([...at, 'colours'], change([...(saved.colours ?? [saved.colour])])) : [];
    }, 'Change the colours');
  return (
    <>
      {colours.map((colour, i) => (
        <span key={i} className="mr-1 whitespace-nowrap">
          <ColourWord
            label={`Colour ${i + 1} of ${film.name}`}
            value={colour}
            onChange={(to) => edit((had) => had.map((one, k) => (k === i ? to : one)))}
          />
          {colours.length > 1 && (
            <button
              type="button"
              className="btn btn-xs btn-ghost"
              aria-label={`Take colour ${i + 1} away`}
              onClick={() => void edit((had) => had.filter((_, k) => k !== i))}
            >
              ×
            </button>
          )}
        </span>
      ))}
      {colours.length < MOST_COLOURS && (
        <button type="button" className="btn btn-xs btn-outline" onClick={() => void edit((had) => [...had, '#8b9190'])}>
          Another colour
        </button>
      )}
    </>
  );
}

/** Sheets and offcuts that lie beside the roll. */
function Pieces({ film, system }: { film: Film; system: Shop['lengths'] }) {
  const at = ['films', film.id, 'pieces'];
  const add = (kind: FilmPiece['kind']) => {
    const piece: FilmPiece = { id: newId(), kind, ...USUAL_PIECES[kind], count: 1 };
    void editShop(() => setAt([...at, piece.id], piece), `Add ${kind === 'sheet' ? 'sheets' : 'an offcut'}`);
  };
  const { shop: stored } = useWorkshop();
  const typed = new Map((stored.films.find(({ id }) => id === film.id)?.pieces ?? []).map((piece) => [piece.id, piece.count]));
  /** How many of what was typed were cut up since. */
  const usedOf = ({ id, count }: FilmPiece) => (typed.get(id) ?? count) - count;
  const set = (piece: FilmPiece, field: 'width' | 'length' | 'count', value: number) =>
    editShop(setAt([...at, piece.id, field], value), 'Change a sheet');
  return (
    <>
      {(film.pieces ?? [])
        .filter(({ id }) => !typed.has(id))
        .map((piece) => (
          <p key={piece.id} className="text-[0.95rem]">
            An offcut of {formatLength(piece.width, system, { digits: 0 })} × {formatLength(piece.length, system, { digits: 0 })}, left over
            from a cut.{' '}
            <button type="button" className="btn btn-xs btn-ghost" onClick={() => void logPieceGone(film, piece.id)}>
              Take away
            </button>
          </p>
        ))}
      {(film.pieces ?? [])
        .filter(({ id }) => typed.has(id))
        .map((piece) => (
          <Fragment key={piece.id}>
            <Sentence>
              <CountWord
                label={`How many, ${piece.kind}`}
                value={piece.count}
                most={1000}
                onChange={(count) => set(piece, 'count', count + usedOf(piece))}
              />{' '}
              {piece.count === 1 ? piece.kind : plural(piece.kind)} of{' '}
              {piece.outline ? (
                <span className="measure">
                  {formatLength(piece.width, system, { digits: 0 })} × {formatLength(piece.length, system, { digits: 0 })}
                </span>
              ) : (
                <>
                  <LengthWord
                    label={`Width, ${piece.kind}`}
                    value={piece.width}
                    system={system}
                    least={1}
                    onChange={(mm) => set(piece, 'width', mm)}
                  />{' '}
                  ×{' '}
                  <LengthWord
                    label={`Length, ${piece.kind}`}
                    value={piece.length}
                    system={system}
                    least={1}
                    onChange={(mm) => set(piece, 'length', mm)}
                  />
                </>
              )}{' '}
              <button
                type="button"
                className="btn btn-xs btn-ghost"
                onClick={() => void editShop(removeAt([...at, piece.id]), 'Take a sheet away')}
              >
                Take away
              </button>
            </Sentence>
            {piece.kind === 'offcut' && <OffcutOutline piece={piece} film={film.id} colour={film.colour} system={system} />}
          </Fragment>
        ))}
      <span className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-xs btn-outline" onClick={() => add('sheet')}>
          Add sheets
        </button>
        <button type="button" className="btn btn-xs btn-outline" onClick={() => add('offcut')}>
          Add an offcut
        </button>
      </span>
    </>
  );
}

/** The words of a film in stock. */
export function FilmWords({ film, shop }: { film: Film; shop: Shop }) {
  const set = (field: keyof Film, value: string | number | boolean) => editShop(setAt(['films', film.id, field], value), 'Change a film');
  const many = film.kind === 'patterned' || film.kind === 'changing';
  const system = shop.lengths;
  return (
    <>
      <Sentence>
        <TextWord label="Name of the film" value={film.name} onChange={(name) => set('name', name)} /> is{' '}
        <Choice label="Kind of film" value={film.kind} options={KINDS} onChange={(kind) => set('kind', kind)} />, its face{' '}
        <Choice label="Finish" value={film.finish} options={FINISHES} onChange={(finish) => set('finish', finish)} />,{' '}
        {film.kind === 'changing' ? 'seen first as' : 'in'}{' '}
        <ColourWord label="Colour" value={film.colour} onChange={(colour) => set('colour', colour)} />
        {many && (
          <>
            {film.kind === 'patterned' ? ', with ' : ', turning to '}
            <Colours film={film} colours={film.colours ?? [film.colour]} />
          </>
        )}
        , <LengthWord label="Width of the film" value={film.width} system={system} least={1} onChange={(mm) => set('width', mm)} /> wide. A
        square metre costs{' '}
        <MoneyWord label="Price a square metre" value={film.price} currency={shop.currency} onChange={(price) => set('price', price)} />. It
        comes{' '}
        <Switch
          label="Cover sheet"
          on={film.covered ?? false}
          yes="with a clear cover sheet"
          no="without a cover sheet"
          onChange={(covered) => set('covered', covered)}
        />
        .{' '}
        {pressOf(film) && (
          <>
            It is pressed <PressWords film={film} system={shop.temperatures} />
            {film.press ? '' : ', as is usual'}.{' '}
          </>
        )}
        Note: <TextWord label="Note on the film" value={film.note ?? ''} empty="none" onChange={(note) => set('note', note)} />
      </Sentence>
      <Pieces film={film} system={system} />
    </>
  );
}
