import type { CautionId } from './cautions';
import type { CoatId } from './drying';
import type { GroundId, MaterialId } from './grounds';
import type { HANDS_ON, WAITS } from './handsOn';
import type { StepKind } from './stepKinds';

/** How a piece is cleaned: the words for each are in `words/`. */
export type CleaningId = 'wipe' | 'wipeGently' | 'soap' | 'dust' | 'dustWood' | 'dustPaper' | 'brush' | 'lint' | 'degrease' | 'launder';

/** What a bare piece may have to be freed of, or made good, in the order in which that is done. */
export const STATES = ['printed', 'greasy', 'dusty', 'grooved'] as const;
export type StateId = (typeof STATES)[number];

/** Usual steps that a maker may leave out, by their keys: the piece is no less clean for film without them. */
export const LEAVABLE = ['sand', 'degrease', 'brush'] as const;
export type LeavableKey = (typeof LEAVABLE)[number];

/** Why a piece is sanded, where it is not just to be painted. */
export type SandedFor = 'print' | 'grease' | 'filler' | 'paint';

/** What a label is made of. */
export type LabelId = 'paper' | 'plastic';

/** What has to be true of a piece for a row of a recipe to be used; what is not named does not matter. */
export interface RecipeCondition {
  /** The coat that it gets in this job is one of these. */
  readonly coat?: readonly CoatId[];
  /** A label is on it. */
  readonly labelled?: readonly LabelId[];
  /** It is in one of these states. */
  readonly state?: readonly StateId[];
  /** It gets a coat of paint, stain or sealer. */
  readonly coated?: boolean;
  /** It is sealed before film. */
  readonly sealed?: boolean;
  /** It is sealed before its coat. */
  readonly primed?: boolean;
  /** A coat is on it already. */
  readonly painted?: boolean;
  readonly ground?: readonly GroundId[];
  /** Of these materials. */
  readonly material?: readonly MaterialId[];
}

/** One step of a row. */
export interface RecipeStep {
  /** Its id within the job: it stays the same for as long as it is the same work. */
  readonly key: string;
  readonly kind: StepKind;
  /** Minutes: a rate, over so much of the piece (all of it where nothing is said). */
  readonly rate: { [R in keyof typeof HANDS_ON]: (typeof HANDS_ON)[R] extends number ? never : R }[keyof typeof HANDS_ON];
  readonly share?: number;
  /** What is put on, and dries: the coat of the job, or another. */
  readonly puts?: 'coat' | CoatId;
  /** Which of how many coats. */
  readonly nth?: readonly [number, number];
  /** The next coat follows within the hour; later only when the one before has hardened. */
  readonly soon?: boolean;
  readonly cleaning?: CleaningId;
  readonly sands?: SandedFor;
  readonly cautions?: readonly CautionId[];
  /** What comes on a wiped piece has to come within this. */
  readonly within?: keyof typeof WAITS;
}

/** Steps for a condition. Of the rows of one part the first that fits is used, those of the workshop before these. */
export interface RecipeRow {
  readonly id: string;
  /** Labels off, what it is freed of or made good, before any coat, primed, the coat, the sealer, before film: in this order. */
  readonly part: 'label' | 'state' | 'bare' | 'prime' | 'coat' | 'seal' | 'clean';
  readonly when: RecipeCondition;
  readonly steps: readonly RecipeStep[];
}

const wipe = (cleaning: CleaningId, key = 'clean'): RecipeStep => ({
  ...{ key, kind: 'clean', rate: 'wipe', share: 1 / 3, cleaning },
  ...(cleaning === 'soap' ? { within: 'placeAfterWipe' } : { puts: 'alcohol', cautions: ['vapour'], within: 'placeAfterWipe' }),
});
const dust = (cleaning: CleaningId, key = 'clean'): RecipeStep => ({ key, kind: 'clean', rate: 'dustOff', share: 1 / 3, cleaning });
const SAND: RecipeStep = { key: 'sand', kind: 'sand', rate: 'sand', cautions: ['dust'] };
const CLOTH: readonly MaterialId[] = ['cloth', 'mat'];
const HARD: readonly MaterialId[] = ['glass', 'ceramic', 'metal', 'plastic'];
const sanded = (key: string, sands: SandedFor): RecipeStep => ({ ...SAND, key, sands });

/** Whether the usual recipe sands a bare ground of this kind before a coat comes on it. */
export const isSandedFirst = (ground: GroundId, material: MaterialId): boolean => {
  const row = RECIPES.find(
    ({ part, when }) =>
      part === 'bare' && !when.painted && (when.ground?.includes(ground) ?? true) && (when.material?.includes(material) ?? true),
  );
  return row?.steps.some(({ key }) => key === 'sand') ?? false;
};

/** How pieces are made ready for film. Of each part the first row that fits is used. */
export const RECIPES: readonly RecipeRow[] = [
  // labels come off first of all; what got wet dries until the next day
  {
    ...{ id: 'label-paper', part: 'label', when: { labelled: ['paper'] } },
    steps: [{ key: 'label', kind: 'label', rate: 'label', puts: 'wetLabel', cautions: [] }],
  },
  {
    ...{ id: 'label-plastic', part: 'label', when: { labelled: ['plastic'] } },
    steps: [{ key: 'label', kind: 'label', rate: 'label', cautions: ['vapour'] }],
  },
  // an old print is sanded or scraped off; on cloth and card it stays, and is covered
  { id: 'print-wood', part: 'state', when: { state: ['printed'], material: ['wood', 'masonry'] }, steps: [sanded('print', 'print')] },
  {
    ...{ id: 'print-hard', part: 'state', when: { state: ['printed'], material: HARD } },
    steps: [{ key: 'print', kind: 'scrape', rate: 'label', cautions: ['blade', 'vapour'] }],
  },
  {
    ...{ id: 'grease-hard', part: 'state', when: { state: ['greasy'], material: HARD } },
    steps: [{ key: 'grease', kind: 'clean', rate: 'wipe', cleaning: 'degrease' }],
  },
  { id: 'grease-wood', part: 'state', when: { state: ['greasy'], material: ['wood'] }, steps: [sanded('grease', 'grease')] },
  {
    ...{ id: 'grease-cloth', part: 'state', when: { state: ['greasy'], material: ['cloth'] } },
    steps: [{ key: 'grease', kind: 'clean', rate: 'wipe', cleaning: 'launder', puts: 'wetLabel', cautions: [] }],
  },
  {
    ...{ id: 'grease-masonry', part: 'state', when: { state: ['greasy'], material: ['masonry'] } },
    steps: [{ key: 'grease', kind: 'clean', rate: 'wipe', cleaning: 'degrease', puts: 'wetLabel', cautions: [] }],
  },
  { id: 'dust-off-paper', part: 'state', when: { state: ['dusty'], material: ['paper'] }, steps: [dust('dustPaper', 'dusty')] },
  { id: 'dust-off-cloth', part: 'state', when: { state: ['dusty'], material: CLOTH }, steps: [dust('lint', 'dusty')] },
  { id: 'dust-off', part: 'state', when: { state: ['dusty'] }, steps: [dust('brush', 'dusty')] },
  {
    ...{ id: 'fill', part: 'state', when: { state: ['grooved'], material: ['wood', 'masonry', 'metal', 'plastic'] } },
    steps: [{ key: 'fill', kind: 'fill', rate: 'fill', puts: 'glue', cautions: ['vapour'] }, sanded('sandFill', 'filler')],
  },
  // an old coat is keyed before another comes on it
  { id: 'key', part: 'bare', when: { coated: true, painted: true }, steps: [sanded('sand', 'paint')] },
  // what is bare is degreased and sanded before paint comes on it
  { id: 'degrease', part: 'bare', when: { coated: true, material: ['glass'] }, steps: [wipe('wipe', 'degrease')] },
  { id: 'degrease-glaze', part: 'bare', when: { coated: true, ground: ['glazedCeramic'] }, steps: [wipe('wipe', 'degrease')] },
  { id: 'sand-acrylic', part: 'bare', when: { coated: true, ground: ['acrylic', 'polystyrene'] }, steps: [SAND, wipe('soap', 'degrease')] },
  { id: 'sand-hard', part: 'bare', when: { coated: true, material: ['metal', 'plastic'] }, steps: [SAND, wipe('wipe', 'degrease')] },
  { id: 'sand-wood', part: 'bare', when: { coated: true, material: ['wood'] }, steps: [SAND] },
  { id: 'brush-bare', part: 'bare', when: { coated: true, material: ['masonry', 'ceramic'] }, steps: [dust('brush', 'brush')] },
  {
    ...{ id: 'prime', part: 'prime', when: { primed: true } },
    steps: [{ key: 'prime', kind: 'seal', rate: 'seal', puts: 'sealer' }],
  },
  {
    ...{ id: 'stain', part: 'coat', when: { coat: ['waterStain', 'oilStain'] } },
    steps: [{ key: 'coat1', kind: 'stain', rate: 'stain', puts: 'coat' }],
  },
  {
    ...{ id: 'spray', part: 'coat', when: { coat: ['sprayEnamel'] } },
    steps: [
      { key: 'coat0', kind: 'coat', rate: 'coat', puts: 'coat', nth: [1, 2] },
      { key: 'coat1', kind: 'coat', rate: 'coat', puts: 'coat', nth: [2, 2], soon: true },
    ],
  },
  {
    ...{ id: 'paint', part: 'coat', when: { coat: ['chalkPaint', 'acrylic', 'chalkboard', 'wallPaint', 'glassEnamel'] } },
    steps: [
      { key: 'coat0', kind: 'coat', rate: 'coat', puts: 'coat', nth: [1, 2] },
      { key: 'coat1', kind: 'coat', rate: 'coat', puts: 'coat', nth: [2, 2] },
    ],
  },
  {
    ...{ id: 'seal', part: 'seal', when: { sealed: true } },
    steps: [{ key: 'seal', kind: 'seal', rate: 'seal', puts: 'sealer' }],
  },
  // over paint, stain and sealer nothing wet
  { id: 'dust-coat', part: 'clean', when: { coated: true }, steps: [dust('dust')] },
  { id: 'dust-old-coat', part: 'clean', when: { painted: true }, steps: [dust('dust')] },
  { id: 'soap', part: 'clean', when: { ground: ['acrylic', 'polystyrene'] }, steps: [wipe('soap')] },
  { id: 'wipe-gently', part: 'clean', when: { ground: ['powderCoat'] }, steps: [wipe('wipeGently')] },
  {
    id: 'dust-paint',
    part: 'clean',
    when: { ground: ['enamel', 'chalkPaint', 'chalkboard', 'paintedWall', 'sealedWood', 'waxedWood'] },
    steps: [dust('dust')],
  },
  {
    id: 'brush',
    part: 'clean',
    when: { ground: ['texturedWall', 'concrete', 'terracotta', 'unglazedCeramic', 'coir'] },
    steps: [dust('brush')],
  },
  { id: 'dust-paper', part: 'clean', when: { ground: ['card', 'bookCloth'] }, steps: [dust('dustPaper')] },
  { id: 'lint', part: 'clean', when: { material: CLOTH }, steps: [dust('lint')] },
  { id: 'dust-wood', part: 'clean', when: { material: ['wood'] }, steps: [dust('dustWood')] },
  { id: 'wipe', part: 'clean', when: { material: ['glass', 'ceramic', 'metal', 'plastic'] }, steps: [wipe('wipe')] },
];
