'use client';
import { Checkbox } from '@mantine/core';
import { limitsOf, within } from '@/core/model/limits';
import { Product } from '@/core/model/product';
import { StoredFigure } from '../kit/StoredFigure';

type LampFigures = NonNullable<Product['lamp']>;

interface Props {
  lamp: LampFigures;
  onPut: (thick: LampFigures['thick']) => void;
}

const FROM = limitsOf(Product, 'lamp.thick.from_um');
const CURE = limitsOf(Product, 'lamp.thick.cure_s');

/** What a thick layer starts as: some coats of builder, half as long again. */
const FROM_UM = 500;

/** The second time of a direction, where it gives one for thick layers. */
export function ThickCure({ lamp, onPut }: Props) {
  const { thick } = lamp;
  return (
    <>
      <Checkbox
        label="Another time for thick layers"
        checked={thick !== undefined && thick !== null}
        onChange={(event) =>
          onPut(
            event.currentTarget.checked
              ? { from_um: FROM_UM, cure_s: within(CURE, Math.round(lamp.cure_s * 1.5)) }
              : undefined,
          )
        }
      />
      {thick && (
        <>
          <StoredFigure
            label="Thick from, µm"
            value={thick.from_um}
            min={FROM.min}
            max={FROM.max}
            onPut={(from_um) => onPut({ ...thick, from_um })}
          />
          <StoredFigure
            label="Thick cure, s"
            value={thick.cure_s}
            min={CURE.min}
            max={CURE.max}
            onPut={(cure_s) => onPut({ ...thick, cure_s })}
          />
        </>
      )}
    </>
  );
}
