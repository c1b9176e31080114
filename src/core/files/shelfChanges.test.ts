import { genericShelf, onShelf } from '../starter/shelf';
import { shelfChanges } from './shelfChanges';

const shelf = () => genericShelf().map(onShelf);

describe('what a list would change', () => {
  it('is nothing where it is the shelf', () => {
    expect(shelfChanges(shelf(), shelf())).toEqual({ fresh: [], changed: [], same: shelf().length });
  });

  it('is told product by product and column by column; what the list leaves out stays', () => {
    const [first, second] = shelf() as [ReturnType<typeof onShelf>, ReturnType<typeof onShelf>];
    const list = [
      { ...first, count: 3, product: { ...first.product, colour: '#000000' } },
      { ...second, product: { ...second.product, id: 'mine' } },
    ];
    const { fresh, changed, same } = shelfChanges(list, shelf());
    expect(fresh.map((one) => one.product.id)).toEqual(['mine']);
    expect(changed).toEqual([
      {
        item: list[0],
        columns: [
          { column: 'colour', was: first.product.colour, is: '#000000' },
          { column: 'count', was: '', is: '3' },
        ],
      },
    ]);
    expect(same).toBe(0);
  });
});
