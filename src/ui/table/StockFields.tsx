'use client';
import { dayWords } from '@/core/model/days';
import { leftAt, type Place, type Stock } from '@/core/stock/held';
import { amountWords, UNIT_WORDS } from '@/core/stock/amounts';
import type { TableLine } from '@/core/stock/onTable';
import { changeOnShelf } from '@/data/shelf';
import { changeSupply } from '@/data/supplies';
import { CurrencyPick } from '../shelf/CurrencyPick';
import { StockOfProduct } from '../shelf/StockOfProduct';
import { notKept } from '../kit/notify';
import { StoredFigure } from '../kit/StoredFigure';
import classes from './TableView.module.css';

/** What is noted of a thing where it stands: counted, bought, good until. Counting it anew is counting it now. */
export function StockFields({ line, place, stock }: { line: TableLine; place: Place; stock: Stock }) {
  const left = leftAt(place, stock.takings);
  return (
    <div className={classes.fields}>
      {place.item ? (
        <StockOfProduct
          item={place.item}
          onPut={(own) => void changeOnShelf(place.id, (now) => ({ ...now, ...own })).catch(notKept)}
        />
      ) : (
        <SupplyStock line={line} place={place} stock={stock} />
      )}
      <p className={classes.soft}>
        {left === undefined
          ? 'Once it is counted, and it is noted what a full one holds, what sets take is taken off.'
          : `${amountWords(left, line.unit)} left${place.counted_at ? `, counted ${dayWords(place.counted_at.slice(0, 10))}` : ''}.`}
        {place.by_usual_density && ' Weight and volume are reckoned by the usual density.'}
      </p>
    </div>
  );
}

function SupplyStock({ line, place, stock }: { line: TableLine; place: Place; stock: Stock }) {
  const supply = stock.supplies.find((one) => one.id === place.id);
  if (!supply || supply.kind === 'lamp' || supply.kind === 'tool') return null;
  const put = (own: object) => void changeSupply(place.id, (now) => ({ ...now, ...own })).catch(notKept);
  return (
    <>
      {'sizes' in supply ? (
        <StoredFigure
          label={`Left of size ${place.size}`}
          value={supply.sizes.find(({ size }) => size === place.size)?.count ?? ''}
          min={0}
          max={999}
          onPut={(count) =>
            void changeSupply(place.id, (now) =>
              'sizes' in now
                ? {
                    ...now,
                    sizes: now.sizes.map((one) =>
                      one.size === place.size ? { ...one, count: Math.round(count) } : one,
                    ),
                  }
                : now,
            ).catch(notKept)
          }
        />
      ) : (
        <StoredFigure
          label={`Left, ${UNIT_WORDS[line.unit]}`}
          value={supply.count ?? ''}
          min={0}
          max={99999}
          onPut={(count) => put({ count: line.unit === 'pieces' ? Math.round(count) : count })}
        />
      )}
      <StoredFigure
        label={'sizes' in supply ? 'A full box holds' : `A pack holds, ${UNIT_WORDS[line.unit]}`}
        value={supply.pack ?? ''}
        min={0.1}
        max={99999}
        onPut={(pack) => put({ pack })}
      />
      <StoredFigure
        label="Price of it"
        value={supply.price ?? ''}
        min={0}
        max={99999}
        onPut={(price) => put({ price })}
      />
      <CurrencyPick
        label="Paid in"
        none="As all else"
        value={supply.currency ?? ''}
        onPut={(currency) => put({ currency: currency || null })}
      />
    </>
  );
}
