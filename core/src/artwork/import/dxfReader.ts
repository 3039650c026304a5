import DxfParserModule from 'dxf-parser';
import type { Entity, Group, Vertex } from './dxfWays';

// the package is CommonJS: under Node its class is the default of the default
const DxfParser = (DxfParserModule as unknown as { default?: typeof DxfParserModule }).default ?? DxfParserModule;

/** What the reader tells of a file. */
export interface ReadDxf {
  readonly header?: Record<string, unknown>;
  readonly entities?: Entity[];
  readonly blocks?: Record<string, { entities?: Entity[]; position?: Vertex }>;
  readonly tables?: { layer?: { layers?: Record<string, { color?: number; visible?: boolean; frozen?: boolean }> } };
}

/** The reader's place in the lines of a file. */
interface Scanner {
  readonly _data: readonly string[];
  readonly _pointer: number;
}
interface Handler {
  readonly ForEntityName: string;
  parseEntity(scanner: Scanner, first: unknown): Entity;
}

/** What stands among entities and is none: ends, and what belongs to the entity before. */
const NONE = new Set(['BLOCK', 'ENDBLK', 'SEQEND', 'VERTEX', 'ATTRIB', 'ENDSEC', 'SECTION', 'VIEWPORT', 'EOF']);

/** The kinds of entities in a file, drawn or in blocks. */
function kindsIn(text: string): Set<string> {
  const lines = text.split(/\r\n|\r|\n/);
  const kinds = new Set<string>();
  let section = '';
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code, value] = [lines[i]!.trim(), lines[i + 1]!.trim()];
    if (code === '0' && value === 'SECTION') section = (lines[i + 3] ?? '').trim();
    else if (code === '0' && (section === 'ENTITIES' || section === 'BLOCKS') && !NONE.has(value)) kinds.add(value);
  }
  return kinds;
}

/**
 * Reads a DXF by the package, and keeps with each entity all that stands in the file of it: the package passes over widths, weights and ways of
 * looking, and over kinds that it does not know, which are named then.
 *
 * @returns null where it cannot be read
 */
export function readDxf(text: string): ReadDxf | null {
  const parser = new DxfParser();
  const handlers = (parser as unknown as { _entityHandlers: Record<string, Handler> })._entityHandlers;
  const keeping = (name: string, inner: Handler) =>
    class {
      ForEntityName = name;
      parseEntity(scanner: Scanner, first: unknown): Entity {
        const from = scanner._pointer;
        const entity = inner.parseEntity(scanner, first);
        const groups: Group[] = [];
        for (let i = from; i + 1 < scanner._pointer; i += 2)
          groups.push({ code: Number(scanner._data[i]), value: scanner._data[i + 1]!.trim() });
        return { ...entity, groups };
      }
    };
  const kinds = kindsIn(text);
  // a filled quadrangle by another name; of all others what every entity has is read
  const instead: Record<string, string> = { TRACE: 'SOLID' };
  for (const kind of kinds) {
    const inner = handlers[kind] ?? handlers[instead[kind] ?? 'POINT'];
    if (inner) parser.registerEntityHandler(keeping(kind, inner) as never);
  }
  try {
    return parser.parseSync(text) as unknown as ReadDxf | null;
  } catch {
    return null;
  }
}
