export type CautionId = 'blade' | 'vapour' | 'dust' | 'food' | 'smallParts' | 'paint' | 'cutter' | 'etching' | 'heat';

/** The usual caution at a step. The maker's sheet, local codes and licensed practice come first. */
export const CAUTIONS: Record<CautionId, string> = {
  blade: 'Blade and weeding hook away from the holding hand; cap them when you put them down.',
  vapour: "Window open, no flame or spark, gloves on. The maker's sheet comes first.",
  dust: 'Fine dust: wear a mask and work where it can be swept up damp.',
  food: 'Film and sealer stay off anything that food, lips or a knife touch.',
  smallParts: 'Small parts and offcuts out of the reach of children.',
  paint: "Air the room and keep paint off skin; the tin's own sheet and local rules for leftovers come first.",
  etching:
    "Etching cream burns: gloves, goggles, air moving, no children or animals near, water at hand. The maker's sheet " +
    'says how long, and what becomes of the leftovers.',
  heat: 'The plate burns at a touch, and so does fresh film: keep a cloth between, let nothing lie under the press unwatched, and switch it off.',
  cutter: 'Fingers, sleeves and hair clear of the moving carriage.',
};
