import type { NailName } from '../model/names';
import { causes } from './causes';
import type { FindingCode } from './codes';
import type { Severity, Told } from './finding';

let count = 0;
const told = (
  code: FindingCode,
  nail: NailName | undefined,
  step: string,
  severity: Severity = 'stop',
): Told => ({
  id: `${code}-${(count += 1)}`,
  code,
  severity,
  ...(nail ? { nail, operation: `${nail}/body/${step}#1` } : {}),
  message: code,
  reason: '',
  tries: [],
});

describe('causes', () => {
  it('what only follows on the same nail is folded in', () => {
    const all = [told('piece-proud', 'left-ring', 'cap'), told('filed-through', 'left-ring', 'file')];
    const [cause, ...rest] = causes(all);
    expect(rest).toEqual([]);
    expect(cause!.told.map((one) => one.code)).toEqual(['piece-proud']);
    expect(cause!.follows.map((one) => one.code)).toEqual(['filed-through']);
  });

  it('nothing is folded into another nail, into what is lighter, or into what it does not follow from', () => {
    const pairs = [
      [told('piece-proud', 'left-ring', 'cap'), told('filed-through', 'left-index', 'file')],
      [told('piece-proud', 'left-ring', 'cap', 'note'), told('filed-through', 'left-ring', 'file', 'stop')],
      [told('heat', 'left-ring', 'cap'), told('filed-through', 'left-ring', 'file')],
      [told('no-look', undefined, ''), told('filed-through', 'left-ring', 'file')],
    ];
    for (const pair of pairs) {
      const found = causes(pair);
      expect(found).toHaveLength(2);
      expect(found.flatMap((one) => one.follows)).toEqual([]);
    }
  });

  it('the same fault on several nails is one cause that names them', () => {
    const nails: NailName[] = ['left-ring', 'left-index', 'right-ring'];
    const [cause, ...rest] = causes(nails.map((nail) => told('under-cured', nail, 'cap')));
    expect(rest).toEqual([]);
    expect(cause!.nails).toEqual(nails);
    expect(cause!.told).toHaveLength(3);
  });

  it('other steps, other severities and a second fault of one nail stay apart', () => {
    expect(
      causes([
        told('under-cured', 'left-ring', 'cap'),
        told('under-cured', 'left-index', 'bed'),
        told('under-cured', 'right-ring', 'cap', 'warn'),
      ]),
    ).toHaveLength(3);
    const twice = causes([told('heat', 'left-ring', 'cap'), told('heat', 'left-ring', 'cap')]);
    expect(twice.map((one) => one.nails)).toEqual([['left-ring'], ['left-ring']]);
  });

  it('nothing is lost: every finding is told once, as a cause or as what follows', () => {
    const codes: FindingCode[] = [
      'piece-proud',
      'cap-thin',
      'filed-through',
      'no-grip',
      'under-cured',
      'wet-touched',
      'no-top',
    ];
    const nails: NailName[] = ['left-ring', 'left-index'];
    const all = nails.flatMap((nail) => codes.map((code) => told(code, nail, code)));
    const found = causes(all).flatMap((one) => [...one.told, ...one.follows]);
    expect(found.map((one) => one.id).sort()).toEqual(all.map((one) => one.id).sort());
  });
});
