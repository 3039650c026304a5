/** Curves are flattened to this many mm: a fifth of the finest step a hobby cutter makes. */
export const FLATTEN_MM = 0.02;

/** Curves of a first look, which is done again at once, are flattened to this many mm. */
export const FLATTEN_LOOK_MM = 0.08;

/** Integer units a millimetre in the polygon library: a thousandth, far below any knife. */
export const CLIPPER_PER_MM = 1000;

/** Two measures closer than this many mm are equal: nobody can measure it. */
export const SAME_MM = 0.01;
