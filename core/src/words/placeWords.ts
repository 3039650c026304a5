import { PLACINGS, SEALED_BEYOND, SEALERS, TECHNIQUES } from '../facts';
import { counted, inSentence, listed } from '../units';
import { all, orderIn, ownText, type WordsOf } from './stepRow';

/** Steps that bring a mark onto the piece and finish it by hand. */
export const PLACE_WORDS: WordsOf<'place' | 'putBack' | 'trim' | 'finish' | 'sealOver' | 'pack'> = {
  place: {
    verb: ({ mask }) => (mask === undefined ? 'Place' : 'Lay'),
    rest: ({ pieces, mark, mask, technique }) =>
      mask !== undefined
        ? `the stencil of ${mark} and mask around it`
        : TECHNIQUES[technique].stays === 'ground'
          ? `the mask of ${mark} on ${all(pieces)}`
          : `${mark} on ${all(pieces)}`,
    short: () => 'place',
    text: ({ method, rough, stop, perPiece, parts, slats, films, mask, paper, snips }, say) =>
      [
        ...PLACINGS[method].stages.map((stage) => stage.text),
        rough ? 'Here rub again while you peel: where film follows the tape, lay it back and rub harder.' : '',
        stop === undefined ? '' : `A stop ${say(stop)} above the foot keeps the mark at one height on every piece.`,
        perPiece > 1 ? `${perPiece} on each piece; mark their places from the jig.` : '',
        parts === undefined
          ? ''
          : `It comes in ${parts} parts, each on tape of its own: mark the place of each from the drawing, and place them by eye ` +
            'from the middle out.',
        slats ? 'Over the gaps between slats, part the film with a sharp blade once it holds.' : '',
        snips === undefined
          ? ''
          : `The tape has ${counted(snips.count, 'snip')}, ${say(snips.length)} deep: press the middle down first, then let each ` +
            'flap follow the belly by itself.',
        films.length > 1 ? `In this order: ${listed(films.map(inSentence))}, each pressed down before the next.` : '',
        mask === undefined
          ? ''
          : `Mask ${say(mask)} beyond the film${paper ? ', and cover all else with paper' : ''}, and press every edge down.`,
      ]
        .filter(Boolean)
        .join(' '),
  },
  putBack: {
    verb: () => 'Put back',
    rest: ({ mark }) => `what was lost of ${mark}`,
    short: () => 'put back',
    text: ({ count, taped, hot }) =>
      hot
        ? `${count === 1 ? 'One part' : `${count} parts`}, each pressed on by itself over a sheet, with bare film around it covered. First press the place ` +
          'flat and free of lint.'
        : `${count === 1 ? 'One part' : `${count} parts`}: wipe the bare place and let it dry. ${taped ? 'Line it up on its tape' : 'Take it with tweezers by one edge and line it up'} ` +
          'with what is there, the drawing beside it, press it down from the middle, and rub over its edges.',
  },
  trim: {
    verb: () => 'Trim',
    rest: ({ mark, pieces }) => `${mark} along the edge of ${all(pieces)}`,
    short: () => 'trim',
    text: () =>
      'Once it is rubbed down: a fresh blade held flat against the edge, in one stroke away from the hand. Then rub the cut edge down.',
  },
  finish: {
    verb: ({ name }) => orderIn(name).verb,
    rest: ({ name }) => orderIn(name).rest,
    short: () => 'own step',
    text: ({ pieces }) => ownText(pieces),
  },
  sealOver: {
    verb: () => 'Seal',
    rest: ({ pieces, sealer }) => `the marks on ${all(pieces)} with ${SEALERS[sealer].name}`,
    short: () => 'seal',
    text: (_about, say) =>
      `One thin coat with a soft brush, ${say(SEALED_BEYOND)} beyond the edge of each mark, and no going back over it. It ` +
      'never makes a piece fit for food.',
  },
  pack: {
    verb: () => 'Check,',
    rest: ({ pieces }) => (pieces.fixed ? `from where it will be seen, ${all(pieces)}` : `wrap and label ${all(pieces)}`),
    short: ({ pieces }) => (pieces.fixed ? 'check' : 'pack'),
    text: ({ pieces }) =>
      `${pieces.build === 'apart' ? 'Put it together again. ' : ''}Look along the edges once more. ` +
      `${pieces.fixed ? 'The care card stays with whoever owns the wall.' : 'The care card goes in with it.'}`,
  },
};
