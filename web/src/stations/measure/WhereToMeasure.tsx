import type { Shape } from '@kolleta/core/job';

const INK = 'var(--color-base-content)';
const MEASURE = 'var(--color-primary)';

function Label({ x, y, children, end }: { x: number; y: number; children: string; end?: boolean }) {
  return (
    <text x={x} y={y} fontSize="11.5" fill={INK} textAnchor={end ? 'end' : 'start'}>
      {children}
    </text>
  );
}

/** An arrow with a stop at each end, from one point to another. */
function Taken({ d }: { d: string }) {
  return <path d={d} fill="none" stroke={MEASURE} strokeWidth="2" markerStart="url(#stop)" markerEnd="url(#stop)" />;
}

const DRAWN: Record<Shape['kind'], { says: string; drawing: React.ReactNode }> = {
  flat: {
    says: 'Width and height from edge to edge, once at each end: an old board is seldom square.',
    drawing: (
      <>
        <rect x="60" y="14" width="120" height="62" fill="var(--liner)" stroke={INK} />
        <Taken d="M60 86H180" />
        <Taken d="M192 14V76" />
        <Label x={92} y={100}>
          width
        </Label>
        <Label x={200} y={48}>
          height
        </Label>
      </>
    ),
  },
  cylinder: {
    says: 'Across at the outside, or a string once around: three times the width and a bit more. Height where the wall is straight, without the curve of the foot.',
    drawing: (
      <>
        <path d="M90 16V78A40 10 0 0 0 170 78V16" fill="var(--liner)" stroke={INK} />
        <ellipse cx="130" cy="16" rx="40" ry="9" fill="var(--color-base-100)" stroke={INK} />
        <Taken d="M90 16H170" />
        <path d="M90 52A40 10 0 0 0 170 52" fill="none" stroke={MEASURE} strokeWidth="2" strokeDasharray="4 3" />
        <Taken d="M184 16V80" />
        <Label x={80} y={20} end>
          across
        </Label>
        <Label x={80} y={58} end>
          string: wrap
        </Label>
        <Label x={192} y={52}>
          height
        </Label>
      </>
    ),
  },
  taper: {
    says: 'Rim and foot across at the outside. The wall along the glass with a soft tape, from the foot to the rim: it is longer than the upright height.',
    drawing: (
      <>
        <path d="M84 16L102 84A28 7 0 0 0 158 84L176 16" fill="var(--liner)" stroke={INK} />
        <ellipse cx="130" cy="16" rx="46" ry="9" fill="var(--color-base-100)" stroke={INK} />
        <Taken d="M84 16H176" />
        <Taken d="M102 84H158" />
        <Taken d="M188 16L168 86" />
        <Label x={76} y={20} end>
          rim
        </Label>
        <Label x={92} y={88} end>
          foot
        </Label>
        <Label x={190} y={56}>
          along the wall
        </Label>
      </>
    ),
  },
  bulb: {
    says: 'Across at the widest place; the height with a soft tape over the belly. For the curve hold a straight edge upright against it: “Radius of a curve” below reckons it.',
    drawing: (
      <>
        <path d="M106 10C70 34 70 66 108 90H152C190 66 190 34 154 10" fill="var(--liner)" stroke={INK} />
        <ellipse cx="130" cy="10" rx="24" ry="5" fill="var(--color-base-100)" stroke={INK} />
        <Taken d="M79 50H181" />
        <path d="M154 12C190 34 190 66 153 89" fill="none" stroke={MEASURE} strokeWidth="2" strokeDasharray="4 3" />
        <Label x={72} y={54} end>
          belly
        </Label>
        <Label x={190} y={34}>
          by tape
        </Label>
      </>
    ),
  },
};

/** Where each measure of a shape is taken, drawn. */
export function WhereToMeasure({ shape }: { shape: Shape }) {
  const { says, drawing } = DRAWN[shape.kind];
  return (
    <figure className="mt-1 flex flex-wrap items-center gap-x-3">
      <svg viewBox="0 0 270 104" className="h-24 shrink-0" role="img" aria-label="Where it is measured">
        <defs>
          <marker id="stop" viewBox="0 0 4 10" refX="2" refY="5" markerWidth="3" markerHeight="6" orient="auto">
            <path d="M2 0V10" stroke={MEASURE} strokeWidth="2" />
          </marker>
        </defs>
        {drawing}
      </svg>
      <figcaption className="quiet min-w-0 flex-1 basis-48 text-sm">
        {says} Measure twice; of a set measure several and type the smallest.
      </figcaption>
    </figure>
  );
}
