import type { Fault } from '../commission/fault';
import type { Commission, Option, Scan } from '../commission/schema';
import type { ScanFigures } from './scan';

/** How far what a document says of a mesh may be from what was measured: what digits get lost on the way. */
const TOLERANCE = 1e-3;

/**
 * Scans whose mesh is not there, or is not what the document says of it: masses and packs would be worked
 * out from figures that nothing has measured.
 */
export function scanFaults(
  { options, shelved = [] }: Pick<Commission, 'options' | 'shelved'>,
  known: (mesh: string) => ScanFigures | undefined,
): Fault[] {
  const of = (list: readonly Option[], at: string) =>
    list.flatMap((o, i) =>
      o.pieces.flatMap(({ shape }, k) =>
        shape.kind === 'scan' ? faultOf(shape, `${at}[${i}].pieces[${k}].shape`, known(shape.mesh)) : [],
      ),
    );
  return [...of(options, 'options'), ...of(shelved, 'shelved')];
}

function faultOf(scan: Scan, path: string, is: ScanFigures | undefined): Fault[] {
  if (!is)
    return [
      {
        path: `${path}.mesh`,
        says: 'is not kept here, must come with the commission: export it again as one file with its scans',
      },
    ];
  if (scan.triangles !== is.triangles)
    return [{ path: `${path}.triangles`, says: `is ${scan.triangles}, must be the mesh’s ${is.triangles}` }];
  if (off(scan.volumeL, is.volumeL))
    return [{ path: `${path}.volumeL`, says: `is ${scan.volumeL}, must be the mesh’s ${is.volumeL}` }];
  const axis = scan.sizeMm.findIndex((mm, i) => off(mm, is.sizeMm[i]));
  if (axis < 0) return [];
  const says = `is ${scan.sizeMm[axis]}, must be the mesh’s ${is.sizeMm[axis]}`;
  return [{ path: `${path}.sizeMm[${axis}]`, says }];
}

function off(said: number, is: number): boolean {
  return Math.abs(said - is) > TOLERANCE * Math.max(is, 1e-6);
}
