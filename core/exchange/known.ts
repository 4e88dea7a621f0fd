import { asWritten, fault, type Fault } from '../commission/fault';
import { measure } from '../words/measure';
import type { Commission, Option, Scan } from '../commission/schema';
import type { ScanFigures } from './scan';

/** How far what a document says of a mesh may be from what was measured: what digits get lost on the way. */
const TOLERANCE = 1e-3;
const inL = measure('L', 4);

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
  if (!is) return [fault(`${path}.mesh`, 'fault.mesh.away')];
  if (scan.triangles !== is.triangles)
    return [fault(`${path}.triangles`, 'fault.mesh.differs', { is: scan.triangles, measured: is.triangles })];
  if (off(scan.volumeL, is.volumeL))
    return [
      fault(`${path}.volumeL`, 'fault.mesh.differs', { is: inL(scan.volumeL), measured: inL(is.volumeL) }),
    ];
  const axis = scan.sizeMm.findIndex((mm, i) => off(mm, is.sizeMm[i]));
  if (axis < 0) return [];
  const differs = { is: asWritten(scan.sizeMm[axis]), measured: asWritten(is.sizeMm[axis]) };
  return [fault(`${path}.sizeMm[${axis}]`, 'fault.mesh.differs', differs)];
}

function off(said: number, is: number): boolean {
  return Math.abs(said - is) > TOLERANCE * Math.max(is, 1e-6);
}
