import { pieceOutline } from '../craft/pieces';
import { charm } from '../craft/techniques/charm';
import { contextOf } from '../document/nailContext';
import type { Point } from '../geometry/frame';
import type { NailName } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { codesOn, element, setWearing } from './sets';

/** A charm whose outline is drawn on a nail by a line: as it lies there, and on the same finger of the other hand. For tests only. */
export function drawnCharm(nail: NailName, line: readonly Point[]) {
  const fresh = element('charm', { bedding: 'gel', metallic: false });
  const plain = setWearing([element('colour'), fresh]);
  const drawn = charm.drawn![0]!.lay(fresh, contextOf(plain, nail), line);
  const set = setWearing([element('colour'), drawn]);
  const outlineOn = (name: NailName) => {
    const { operations } = planNail(set, name).compiled;
    const laid = operations.find((one) => one.element === fresh.id && one.deposit?.kind === 'pieces')!;
    return laid.deposit?.kind === 'pieces' ? pieceOutline(laid.deposit.pieces[0]!) : [];
  };
  const other = nail.startsWith('left') ? nail.replace('left', 'right') : nail.replace('right', 'left');
  return {
    element: drawn,
    drawn: outlineOn(nail),
    other: outlineOn(other as NailName),
    findings: codesOn(set, nail),
  };
}
