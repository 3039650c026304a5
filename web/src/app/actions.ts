import type { Job } from '@kolleta/core/job';
import type { Findable } from './findable';

type Station = 'measure' | 'draw' | 'fit' | 'cut' | 'weed' | 'tape' | 'prepare' | 'place' | 'cure' | 'log' | 'price';

/** What can be done in a job: in which words it is sought, at which station, and the word or button that it is done with. */
const IN_A_JOB: readonly { readonly name: string; readonly also: string; readonly at: Station; readonly focus: string }[] = [
  { name: 'Change the size of the piece', also: 'measure diameter height width rim foot wrap', at: 'measure', focus: 'Height' },
  { name: 'Measure on a photo', also: 'camera picture trace', at: 'measure', focus: 'Measure on a photo' },
  { name: 'Say how many pieces', also: 'count set quantity', at: 'measure', focus: 'How many in the set' },
  {
    name: 'Keep marks off a seam, a handle, a screw',
    also: 'keep-out hole hinge obstacle',
    at: 'measure',
    focus: 'Add what is on the piece',
  },
  { name: 'Change the lip band', also: 'rim drink safe', at: 'measure', focus: 'Lip band' },
  { name: 'Paint, stain or seal the piece first', also: 'coat sealer primer varnish', at: 'measure', focus: 'Coat' },
  {
    name: 'Say that it is waxed, labelled, slatted, patterned',
    also: 'wax label slats joins pattern stripes',
    at: 'measure',
    focus: 'Anything else about it?',
  },
  { name: 'Copy a zone', also: 'duplicate place again', at: 'measure', focus: 'Copy this zone' },
  { name: 'Mirror or flip a mark', also: 'mirrored reverse back of the glass left right', at: 'draw', focus: 'Flip' },
  { name: 'Change the technique', also: 'stencil paint etch heat press iron heat-applied decal', at: 'draw', focus: 'Technique' },
  { name: 'Change the film of a mark', also: 'colour vinyl', at: 'draw', focus: 'Film' },
  { name: 'Type the words', also: 'text line letters font', at: 'draw', focus: 'Line 1' },
  { name: 'Open a drawing or picture', also: 'svg dxf import logo image', at: 'draw', focus: 'Open a drawing or picture' },
  {
    name: 'Outline, backing, frame, thicken, scatter, part it',
    also: 'offset bold silhouette repeat stretch border take words out ring',
    at: 'draw',
    focus: 'Add a change',
  },
  { name: 'A list of names', also: 'csv spreadsheet rows personalise', at: 'draw', focus: 'A list of names' },
  { name: 'Copy a mark', also: 'duplicate another zone job', at: 'draw', focus: 'Copy this mark to' },
  { name: 'What it costs, a price, a quote', also: 'money margin invoice cheaper sell', at: 'price', focus: 'Margin' },
  { name: 'Which technique is best', also: 'compare ways rank decal stencil etch', at: 'draw', focus: 'Compare the techniques' },
  { name: 'Change the size of a mark', also: 'width height largest scale', at: 'fit', focus: 'Size' },
  { name: 'Change the breathing room', also: 'margin clear', at: 'fit', focus: 'Breathing room' },
  { name: 'Turn a mark', also: 'rotate angle degrees', at: 'fit', focus: 'Turn of the mark' },
  { name: 'Put a mark behind clear glass', also: 'mirror seen through inside', at: 'fit', focus: 'Side' },
  { name: 'Several copies on a piece', also: 'around repeat corners row', at: 'fit', focus: 'Copies' },
  { name: 'Print a jig', also: 'template placement pdf 1:1 align', at: 'fit', focus: 'Jig' },
  { name: 'Save the cut file', also: 'export svg hpgl knife cutter plot', at: 'cut', focus: 'Save the cut file' },
  { name: 'Snips, relief at a belly', also: 'wrinkle curve bulb dome', at: 'tape', focus: 'Tape' },
  { name: 'Choose the tape', also: 'transfer covering film grip lift', at: 'tape', focus: 'Tape' },
  { name: 'What to weed out', also: 'weeding counters bits', at: 'weed', focus: 'Weed' },
  { name: 'How to prepare the piece', also: 'clean alcohol degrease sand wipe', at: 'prepare', focus: 'Prepare' },
  { name: 'How to place the mark', also: 'apply squeegee bubbles wet hinge', at: 'place', focus: 'Place' },
  { name: 'When it may be washed', also: 'cure care dishwasher dry', at: 'cure', focus: 'Cure' },
  { name: 'Set the date', also: 'deadline wanted due', at: 'fit', focus: 'Wanted' },
  { name: 'Copy the job', also: 'duplicate again same', at: 'fit', focus: 'Copy the job' },
  { name: 'Save the job as a pattern', also: 'template', at: 'fit', focus: 'Save as a pattern' },
  { name: 'Save the job as a file', also: 'export share', at: 'fit', focus: 'Save as job file' },
  { name: 'Print the job sheet', also: 'paper', at: 'fit', focus: 'Print' },
  { name: 'Close or delete the job', also: 'remove finish archive', at: 'fit', focus: 'Close the job' },
];

/** What can be done in the workshop. */
const IN_THE_WORKSHOP: readonly Findable[] = [
  { name: 'Add a film', also: 'roll vinyl new colour offcut sheet', to: '/stock', focus: 'Add a film' },
  { name: 'Sheets and offcuts', also: 'offcut scrap rest leftover', to: '/stock', focus: 'Film' },
  { name: 'Add a tape', also: 'transfer', to: '/stock', focus: 'Add a tape' },
  { name: 'Add a paint or sealer', also: 'stain', to: '/stock', focus: 'Add a paint' },
  { name: 'Add a supply or trimming', also: 'ribbon blades cloths hooks', to: '/stock', focus: 'Add a supply' },
  { name: 'Count the stock', also: 'correct amount left inventory spoiled bought', to: '/stock', focus: 'Film' },
  { name: 'Stock as a list', also: 'csv spreadsheet export import', to: '/stock', focus: 'Save as a list (CSV)' },
  { name: 'Prices of film, tape and paint', also: 'price cost money', to: '/stock', focus: 'Film' },
  { name: 'What an hour of work costs', also: 'price rate wage money currency', to: '/workshop', focus: 'An hour of work' },
  { name: 'Hours', also: 'when you work evenings weekends days week', to: '/workshop', focus: 'Hours on Monday' },
  { name: 'Time zone', also: 'clock', to: '/workshop', focus: 'Time zone' },
  { name: 'Cutters', also: 'machine width load carrier sheet mat blade', to: '/workshop', focus: 'Machines' },
  { name: 'Heat press', also: 'iron plate heat', to: '/workshop', focus: 'Machines' },
  { name: 'Begin empty', also: 'own workshop new start', to: '/workshop', focus: 'The workshop as a file' },
  { name: 'Begin a job with a blank', also: 'new glass mug board', to: '/jobs', focus: 'Look for a blank' },
].map((one) => ({ kind: 'to do', ...one }));

/** What can be done, in the job that is on the screen or else the first open one, and in the workshop. */
export function actions(job: Job | undefined): Findable[] {
  const inJob = job
    ? IN_A_JOB.map(({ name, also, at, focus }): Findable => ({
        kind: `to do in ${job.name}`,
        name,
        also,
        focus,
        to: `/job/${job.id}/${at}`,
      }))
    : [];
  return [...inJob, ...IN_THE_WORKSHOP];
}
