import type { Product } from '../model/product';
import { notOnTheseHands } from './notOnTheseHands';

const product = (id: string, name: string, family: Product['family'], contains?: string): Product => ({
  id,
  name,
  family,
  ...(contains ? { contains } : {}),
});

const SHELF = [
  product('primer', 'Primer A', 'primer', 'methacrylic acid'),
  product('base', 'Base A', 'base-gel', 'HEMA, di-HEMA TMHDC, silica'),
  product('top', 'No-wipe top A', 'top-no-wipe', 'silica'),
  product('powder', 'Limelight powder', 'acrylic'),
  product('lemon', 'Lemonade', 'gel-colour'),
];

const ruledOut = (card: string) =>
  notOnTheseHands(card, SHELF).map((one) => `${one.product.id}: ${one.words}`);

describe('what is not on these hands', () => {
  it.each([
    ['HEMA', ['base: HEMA']],
    ['hema', ['base: hema']],
    ['Reacts to HEMA.', ['base: Reacts to HEMA']],
    ['primers, acrylic', ['primer: primers', 'powder: acrylic']],
    ['silica', ['base: silica', 'top: silica']],
    ['Primer A; lemonade', ['primer: Primer A', 'lemon: lemonade']],
    ['methacrylic acid\nnuts', ['primer: methacrylic acid']],
  ])('%s', (card, expected) => {
    expect(ruledOut(card)).toEqual(expected);
  });

  it.each([
    '',
    ' , ;; ',
    'no',
    'lemon',
    'HEM',
    'acid-free',
    'latex',
    'She is left-handed and comes late',
    '…',
  ])('nothing for “%s”', (card) => {
    expect(ruledOut(card)).toEqual([]);
  });
});
