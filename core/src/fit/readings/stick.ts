import { CONTACTS, GROUNDS, STICK, TECHNIQUES, type Contact, type GroundId } from '../../facts';
import { aOrAn, capital, formatTemperature } from '../../units';
import { surfaceOf } from '../../blanks';
import { aboutMark, setAt, type Remedy, type Reading, type Verdict } from '../../job';
import { makeAs } from '../makeAs';
import { type FitContext, type FitReading } from './context';

/** Whether film that has to stay holds: by the ground's energy, mN/m, and by the share of it that film touches. */
function fitForFilm(energy: number, contact: number): { byEnergy: Verdict; byContact: Verdict; worst: Verdict } {
  const grade = (value: number, fine: number, watch: number): Verdict => (value >= fine ? 'fine' : value >= watch ? 'watch' : 'stop');
  const byEnergy = grade(energy, STICK.energyFine, STICK.energyWatch);
  const byContact = grade(contact, STICK.contactFine, STICK.contactWatch);
  const both = [byEnergy, byContact];
  return { byEnergy, byContact, worst: both.includes('stop') ? 'stop' : both.includes('watch') ? 'watch' : 'fine' };
}

/** Whether a blank is fit for film, before it is bought, in a few words. */
export function blankForFilm(ground: GroundId, contact: Contact): { verdict: Verdict; why: string } {
  const { byEnergy, byContact, worst } = fitForFilm(GROUNDS[ground].energy.range[0], CONTACTS[contact].share.typical);
  // a sealer fills grain, not ribs
  const sealed = GROUNDS[ground].porous && contact !== 'ribbed' ? ' Sealed first, it does.' : '';
  if (worst === 'fine') return { verdict: 'fine', why: 'Takes film that stays.' };
  if (byEnergy !== 'fine')
    return {
      verdict: worst,
      why: `${worst === 'stop' ? 'Lets go of film that has to stay.' : 'Holds film badly.'} Try a stencil or a tag.${sealed}`,
    };
  return {
    verdict: byContact,
    why: `${byContact === 'stop' ? 'Too rough: film touches too little of it.' : 'Rough: film holds only on what it touches.'}${sealed}`,
  };
}

/** A painted stencil in place of film that has to stay, when the shop has what it needs: in the paint that stands out most. */
function asStencil({ mark, shop, behind }: FitContext): Remedy | undefined {
  const patch = makeAs('stencil', { id: mark.id }, shop, behind.colour);
  return patch ? { label: 'Paint it through a stencil', patch } : undefined;
}

/** Wax and oil keep film, and paint, off whatever they lie on. */
export const waxReading: FitReading = ({ piece, mark }) => {
  const ofWax = GROUNDS[piece.ground].waxed === true;
  if (!piece.waxed && !ofWax) return undefined;
  return {
    id: `wax:${mark.id}` as const,
    station: 'fit',
    verdict: 'stop',
    title: 'Wax or oil',
    mark: mark.id,
    value: 'waxed',
    limit: 'none',
    why: 'Wax or oil keeps film from holding at all, and paint too.',
    remedies: ofWax ? [] : [{ label: 'The wax is off', patch: setAt(['piece', 'waxed'], false) }],
    advice: `Take it off with the remover that its maker names, and let it dry.${ofWax ? ' Then say in Measure what is left: raw wood, as a rule.' : ''}`,
  };
};

/** Cold keeps adhesive from wetting the ground. */
export const coldReading: FitReading = ({ mark, shop }) =>
  shop.climate.celsius < STICK.leastCelsius && TECHNIQUES[mark.technique].filmBy === 'adhesive'
    ? {
        id: `cold:${mark.id}` as const,
        station: 'fit',
        verdict: 'stop',
        title: 'Too cold for film',
        mark: mark.id,
        value: formatTemperature(shop.climate.celsius, shop.temperatures),
        limit: formatTemperature(STICK.leastCelsius, shop.temperatures),
        why: 'Adhesive does not wet a cold surface.',
        remedies: [],
        advice: 'Bring film and piece into a warmer room for an hour.',
      }
    : undefined;

const HOLDS = { fine: 'holds', watch: 'holds a little', stop: 'lets go' } as const;

/** Whether film holds on what is on top for as long as it has to. */
export const stickReading: FitReading = (context): Reading | undefined => {
  const { piece, mark, surface } = context;
  const { energy, contact, feel, name } = surface;
  const base = {
    id: `stick:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Will it stick',
    ...aboutMark(context.mark, context.several),
    value: HOLDS[fitForFilm(energy, contact).worst],
    limit: 'a ground that film holds on',
    figures: `Surface energy ${energy > 100 ? 'over 100' : Math.round(energy)} mN/m of ${STICK.energyFine}; touched by ${Math.round(contact * 100)} % of the film, of ${STICK.contactFine * 100} %.`,
  };
  if (surface.peels !== undefined)
    return {
      ...base,
      verdict: piece.use.dryShort ? 'watch' : 'stop',
      value: 'the coat comes off',
      limit: 'a ground that paint holds on',
      why: `No coat holds on ${surface.peels}: whatever is on it comes off with it.`,
      remedies: [],
      advice: 'Try a primer that is made for it on a hidden spot, tie on a card or tag with the mark, or choose another piece.',
    };
  const { filmBy, filmStays } = TECHNIQUES[mark.technique];
  if (filmBy === 'heat') return undefined;
  if (!filmStays) {
    const weak = energy < STICK.energyWatch || contact < STICK.contactWatch;
    return {
      ...base,
      verdict: weak ? 'watch' : 'fine',
      value: weak ? 'holds a little' : 'holds for now',
      why: weak
        ? `It only has to hold for an hour or so, but ${feel} ${name} hardly lets it: press every edge, and work nearly dry.`
        : 'It only has to hold until it is pulled off again.',
      remedies: [],
      advice: weak ? 'Try a corner first, and keep the edges short.' : undefined,
    };
  }
  const { byEnergy, worst } = fitForFilm(energy, contact);
  if (worst === 'fine') return { ...base, verdict: 'fine', why: `${capital(name)}, ${feel}: film holds well on this.`, remedies: [] };
  const verdict = worst === 'stop' && piece.use.dryShort ? 'watch' : worst;
  const remedies: Remedy[] = [];
  const sealed = surfaceOf({ ...piece, sealedFirst: true }, context.shop.paints);
  if (!piece.sealedFirst && surface.sealable && fitForFilm(sealed.energy, sealed.contact).worst === 'fine')
    remedies.push({ label: 'Seal it first', patch: setAt(['piece', 'sealedFirst'], true) });
  const stencilHolds = energy >= STICK.energyWatch && contact >= STICK.contactWatch;
  const stencil = stencilHolds ? asStencil(context) : undefined;
  if (stencil) remedies.push(stencil);
  const why =
    byEnergy !== 'fine'
      ? `${capital(name)} lets go of film that has to stay.`
      : `${capital(aOrAn(feel))} surface is touched by only ${Math.round(contact * 100)} % of the film.`;
  return {
    ...base,
    verdict,
    why: verdict === 'watch' && piece.use.dryShort ? `${why} Kept dry, unhandled and for a short time it may do.` : why,
    remedies,
    advice:
      remedies.length === 0
        ? byEnergy !== 'fine'
          ? 'Tie on a card or tag with the mark, or choose a piece of another plastic.'
          : 'Choose a smoother place, or fill and sand this one.'
        : undefined,
  };
};
