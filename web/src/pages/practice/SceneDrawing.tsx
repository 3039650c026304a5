import { scaleLinear } from 'd3-scale';
import { TECHNIQUES } from '@kolleta/core/facts';
import { applyToRegion, boxOf, boxRegion, boxWidth, difference, growBox, scaling } from '@kolleta/core/geometry';
import type { Shop } from '@kolleta/core/job';
import type { Judged, Scene } from '@kolleta/core/practice';
import { formatDuration, formatTemperature } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { regionPath } from '../../drawing/regionPath';
import { InMm, Scaled } from '../../drawing/Scaled';
import { OutcomeDrawing } from '../../frame/OutcomeDrawing';
import { useSize } from '../../ui/useSize';

type Of<K extends Scene['kind']> = Extract<Scene, { kind: K }>;

/** A shape on its film; once answered, what goes is hatched. */
function FilmScene({ scene, judged }: { scene: Of<'film'>; judged: Judged | undefined }) {
  const around = growBox(boxOf(scene.region), 16);
  const surround = difference(boxRegion(around), scene.region);
  const goes =
    judged === undefined || judged.best === 'yes' || judged.best === 'no' ? undefined : judged.best === 'shape' ? scene.region : surround;
  const flips = judged?.best === 'yes';
  return (
    <Scaled box={growBox(around, 4)} className="h-72 w-full" label={`The film of a ${TECHNIQUES[scene.technique].name}`} most={6}>
      <defs>
        <pattern id="goes" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.6" height="7" fill="var(--color-error)" />
        </pattern>
      </defs>
      <InMm>
        <path d={regionPath(boxRegion(growBox(around, 4)))} fill="var(--liner)" />
        <g transform={flips ? 'scale(-1 1)' : undefined}>
          <path d={regionPath(boxRegion(around))} fill={scene.colour} />
          <path
            d={regionPath(scene.region)}
            fill={scene.colour}
            fillRule="evenodd"
            stroke="#fff"
            strokeWidth={1.6}
            vectorEffect="non-scaling-stroke"
          />
          {goes && <path d={regionPath(goes)} fill="rgb(255 255 255 / 70%)" fillRule="evenodd" />}
        </g>
      </InMm>
    </Scaled>
  );
}

/** What lies on what: piece, film, and the tape that is to lift it. */
function LayersScene({ scene }: { scene: Of<'layers'> }) {
  const rows = [
    { name: 'tape: which?', fill: 'none', dash: '6 4' },
    { name: scene.film, fill: scene.colour },
    { name: scene.on, fill: scene.ground },
  ];
  return (
    <svg viewBox="0 0 420 200" className="h-52 w-full" role="img" aria-label={`${scene.film} on ${scene.on}`}>
      {rows.map(({ name, fill, dash }, i) => (
        <g key={name}>
          <rect
            x={20}
            y={20 + i * 58}
            width={220}
            height={i === 2 ? 50 : 24}
            rx={3}
            fill={fill}
            stroke="var(--color-base-content)"
            {...(dash ? { strokeDasharray: dash } : {})}
          />
          <text x={252} y={38 + i * 58} fontSize={15} fill="var(--color-base-content)">
            {name}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Test cuts so far, on a scale of force. */
function LadderScene({ scene }: { scene: Of<'ladder'> }) {
  return (
    <ol className="flex flex-wrap items-end gap-4 p-6">
      {scene.tests.map(({ force, outcome }, i) => (
        <li key={i} className="flex flex-col items-center gap-1">
          <span style={{ zoom: i === scene.tests.length - 1 ? 3 : 1.6 }}>
            <OutcomeDrawing outcome={outcome} colour={scene.colour} />
          </span>
          <span className="measure">force {force}</span>
        </li>
      ))}
    </ol>
  );
}

/** How the coat dries, with the moment that is chosen; once answered, when it can be pulled. */
function ClockScene({ scene, value, most, room }: { scene: Of<'clock'>; value: number; most: number; room: string }) {
  const [ref, size] = useSize<HTMLDivElement>();
  const width = size?.width ?? 0;
  const x = scaleLinear()
    .domain([0, most])
    .range([20, Math.max(40, width - 20)]);
  const dry = Math.min(1, value / scene.recoat);
  return (
    <div ref={ref} className="h-72 w-full">
      {width > 0 && (
        <svg width={width} height={280} role="img" aria-label={`Paint after ${formatDuration(value)}`}>
          <rect x={20} y={30} width={width - 40} height={110} rx={6} fill="#0e5a61" opacity={0.55 + 0.45 * dry} />
          {/* what is wet still shines */}
          <rect x={40} y={44} width={width - 80} height={18} rx={9} fill="#fff" opacity={0.5 * (1 - dry)} />
          <text x={width / 2} y={98} textAnchor="middle" fontSize={20} fill="#fff">
            {formatDuration(value)}
          </text>
          <line x1={20} x2={width - 20} y1={190} y2={190} stroke="var(--color-base-content)" />
          {x.ticks(6).map((tick) => (
            <g key={tick} fill="var(--color-base-content)" fontSize={12}>
              <line x1={x(tick)} x2={x(tick)} y1={186} y2={194} stroke="var(--color-base-content)" />
              <text x={x(tick)} y={212} textAnchor="middle">
                {formatDuration(tick)}
              </text>
            </g>
          ))}
          <circle cx={x(value)} cy={190} r={7} fill="var(--color-primary)" />
          <text x={20} y={250} fontSize={14} fill="var(--color-base-content)">
            {`${room}, ${Math.round(scene.humidity * 100)} % in the room`}
          </text>
        </svg>
      )}
    </div>
  );
}

/** A piece to scale, with the mark as large as it is made; once answered, its room to breathe. */
function SizeScene({
  scene,
  value,
  judged,
  system,
}: {
  scene: Of<'size'>;
  value: number;
  judged: Judged | undefined;
  system: Shop['lengths'];
}) {
  const { width, height, breathing, region } = scene;
  const piece = { minX: -width / 2, maxX: width / 2, minY: -height / 2, maxY: height / 2 };
  const scaled = (to: number) => applyToRegion(scaling(to / boxWidth(boxOf(region))), region);
  return (
    <Scaled box={piece} pad={[16, 70, 46, 20]} className="h-80 w-full" label={`The piece with a mark ${value} mm wide`} most={3}>
      <InMm>
        <path d={regionPath(boxRegion(piece))} fill="#8a5f36" />
        {judged && (
          <path
            d={regionPath(boxRegion(growBox(piece, -breathing)))}
            fill="none"
            stroke="#fff"
            strokeDasharray="5 4"
            strokeWidth={1.4}
            vectorEffect="non-scaling-stroke"
          />
        )}
        <path d={regionPath(scaled(value))} fill="#fbfbf8" fillRule="evenodd" />
        {judged && (
          <path
            d={regionPath(scaled(Number(judged.best)))}
            fill="none"
            stroke="#d98e16"
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        )}
      </InMm>
      <Dimension from={[piece.minX, piece.minY]} to={[piece.maxX, piece.minY]} beside={16} system={system} />
      <Dimension from={[piece.maxX, piece.minY]} to={[piece.maxX, piece.maxY]} beside={16} system={system} />
    </Scaled>
  );
}

/** Film on the roll, and, once answered, on the piece. */
function TonesScene({ scene, judged }: { scene: Of<'tones'>; judged: Judged | undefined }) {
  return (
    <svg viewBox="0 0 480 220" className="h-72 w-full" role="img" aria-label="The film beside the piece">
      <rect x={20} y={30} width={190} height={150} rx={8} fill="var(--liner)" stroke="var(--liner-line)" />
      <rect x={40} y={55} width={150} height={100} rx={4} fill={scene.film} stroke="var(--color-base-content)" strokeOpacity={0.3} />
      <text x={115} y={206} textAnchor="middle" fontSize={15} fill="var(--color-base-content)">
        on the roll
      </text>
      <rect x={260} y={30} width={200} height={150} rx={8} fill={scene.piece} stroke="var(--color-base-content)" strokeOpacity={0.3} />
      {judged && <path d="M360 158C290 118 296 62 332 62c17 0 28 12 28 26 0-14 11-26 28-26 36 0 42 56-28 96Z" fill={scene.film} />}
      <text x={360} y={206} textAnchor="middle" fontSize={15} fill="var(--color-base-content)">
        {judged ? 'on the piece' : 'the piece'}
      </text>
    </svg>
  );
}

/** What a question is about, drawn. */
export function SceneDrawing({
  scene,
  value,
  most,
  judged,
  shop,
}: {
  scene: Scene;
  value: number;
  most: number;
  judged: Judged | undefined;
  shop: Shop;
}) {
  switch (scene.kind) {
    case 'film':
      return <FilmScene scene={scene} judged={judged} />;
    case 'layers':
      return <LayersScene scene={scene} />;
    case 'ladder':
      return <LadderScene scene={scene} />;
    case 'clock':
      return <ClockScene scene={scene} value={value} most={most} room={formatTemperature(scene.celsius, shop.temperatures)} />;
    case 'size':
      return <SizeScene scene={scene} value={value} judged={judged} system={shop.lengths} />;
    case 'tones':
      return <TonesScene scene={scene} judged={judged} />;
  }
}
