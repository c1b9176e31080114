import { curtainUp } from '@/core/demo/curtainUp';
import { changedAt, listed } from './listed';

const good = () => ({ id: 'mine', title: 'Mine', changed_at: 5, revision: 2, document: curtainUp() });
const cyclic = () => {
  const document: Record<string, unknown> = { ...curtainUp() };
  document.looks = document;
  return { ...good(), document };
};

describe('a record of the store', () => {
  it('that is whole is a set', () => {
    expect(listed(good())).toEqual({ kind: 'set', id: 'mine', stored: good() });
  });

  it.each<[string, unknown, string]>([
    ['without a document', { ...good(), document: undefined }, ''],
    ['with a document that is text', { ...good(), document: 'set' }, ''],
    ['of another format', { ...good(), document: { ...curtainUp(), format: 'other' } }, 'format'],
    ['of a later version', { ...good(), document: { ...curtainUp(), version: 99 } }, 'version'],
    ['with a nail missing', { ...good(), document: { ...curtainUp(), nails: {} } }, 'nails.left-little'],
    ['with a key of its own', { ...good(), document: { ...curtainUp(), colour: 1 } }, 'colour'],
    ['without a date', { ...good(), changed_at: undefined }, 'changed_at'],
    ['with a revision of nought', { ...good(), revision: 0 }, 'revision'],
    ['without a title', { ...good(), title: undefined }, 'title'],
    ['that holds itself', cyclic(), 'looks'],
    ['that is nothing', null, ''],
    ['that is a number', 7, ''],
  ])('%s is broken, and says where', (_words, record, path) => {
    const shown = listed(record);
    if (shown.kind !== 'broken') throw new Error('it was taken for a set');
    expect(shown.record).toBe(record);
    expect(shown.title.length).toBeGreaterThan(0);
    expect(shown.faults[0]!.message.length).toBeGreaterThan(0);
    expect(shown.faults.map((fault) => fault.path).join()).toContain(path);
  });

  it('sorts by when it was changed, and last where it does not say', () => {
    expect([good(), { ...good(), changed_at: 'soon' }, null].map(changedAt)).toEqual([5, 0, 0]);
  });
});
