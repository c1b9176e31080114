import { compileNail } from '../compile/compile';
import { contextOf } from '../document/nailContext';
import { buildKindOf } from '../craft/builds';
import { techniqueOf } from '../craft/techniques';
import { curtainUp } from '../demo/curtainUp';
import { flyTower } from '../demo/flyTower';
import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { chance, type Chance } from '../model/chance';
import { NAILS, type NailName } from '../model/names';
import { randomSet } from '../testing/randomLooks';
import { rerun, type Rerun } from './rerun';
import { nominalSteps, simulateNail, type Simulated } from './simulate';
import { runs } from '../testing/runs';

function edgeOf(set: SetDocument, name: NailName) {
  return buildKindOf(set.builds.find((build) => build.id === set.nails[name].build)!.kind).edge;
}

const again = (set: SetDocument, name: NailName, before?: Rerun) =>
  rerun(compileNail(set, name), edgeOf(set, name), before);

function whole(set: SetDocument, name: NailName): Simulated {
  const compiled = compileNail(set, name);
  return simulateNail(compiled, edgeOf(set, name), nominalSteps(compiled.operations));
}

/** All of a run as text, bit for bit. */
function told({ field, verdicts, states }: Simulated): string {
  const bits = (_: string, value: unknown) =>
    ArrayBuffer.isView(value)
      ? Buffer.from(value.buffer, value.byteOffset, value.byteLength).toString('base64')
      : value;
  return JSON.stringify([field, verdicts, states], bits);
}

function changed(set: SetDocument, change: Change): SetDocument {
  const next = applyChange(set, change);
  return next.ok ? next.value : set;
}

/** A hand that moves some handle of some element of what the nail wears, a few times. */
function* moved(start: SetDocument, name: NailName, by: Chance): Generator<SetDocument> {
  let set = start;
  const look = set.looks.find((one) => one.id === set.nails[name].look)!;
  const { id } = by.pick(look.elements);
  for (let i = 0; i < 5; i += 1) {
    const element = set.looks.find((one) => one.id === look.id)!.elements.find((one) => one.id === id)!;
    const handles = techniqueOf(element.kind).handles?.(element, contextOf(set, name)) ?? [];
    const handle = handles.find((one) => one.id === handles[0]!.id);
    if (!handle) return;
    const to = { x: handle.at.x + by.next() - 0.5, y: handle.at.y + by.next() - 0.5 };
    set = changed(set, { kind: 'put-element', look: look.id, element: handle.move(to) });
    yield set;
  }
}

describe('a run begun where the last one was alike', () => {
  it('ends bit for bit as a whole one, whatever a hand moves', () => {
    let [moves, resumed] = [0, 0];
    for (let seed = 1; seed <= runs(14, 60); seed += 1) {
      const by = chance(seed);
      const set = by.below(4) === 0 ? by.pick([curtainUp, flyTower])() : randomSet(by);
      const name = by.pick(NAILS);
      let last = again(set, name);
      for (const next of moved(set, name, by)) {
        const run = again(next, name, last);
        expect(told(run)).toBe(told(whole(next, name)));
        moves += 1;
        // It took up what was put by before: the same object goes on being of use.
        if (run.paused && run.paused === last.paused) resumed += 1;
        last = run;
      }
    }
    expect(moves).toBeGreaterThan(runs(30, 150));
    expect(resumed).toBeGreaterThan(moves / 3);
  });

  it('begins anew where the nail itself, its build or a product is another', () => {
    const set = curtainUp();
    const name = 'left-ring';
    const velvet = set.kit.products.find((one) => one.id === 'velvet-04')!;
    const others: SetDocument[] = [
      changed(set, { kind: 'plate', nail: name, plate: { width_mm: 9 } }),
      changed(set, { kind: 'use-build', nails: [name], build: 'natural' }),
      changed(set, { kind: 'put-product', product: { ...velvet, coat_um: 30 } }),
      changed(set, { kind: 'wear', nails: [name], look: 'footlights' }),
      changed(set, { kind: 'wear', nails: [name], look: null }),
    ];
    // Put by half-way, so that there is something to begin with.
    const tickets = set.looks.find((look) => look.id === 'tickets')!;
    const inlay = tickets.elements.find((one) => one.kind === 'inlay')!;
    const thinner = changed(set, { kind: 'put-element', look: 'tickets', element: { ...inlay, bed_um: 90 } });
    const half = again(thinner, name, again(set, name));
    expect(half.paused?.at).toBeGreaterThan(3);
    for (const other of [set, ...others]) {
      expect(told(again(other, name, half))).toBe(told(whole(other, name)));
      expect(told(again(thinner, name, half))).toBe(told(whole(thinner, name)));
    }
  });
});
