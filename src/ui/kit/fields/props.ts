import type { Fitting } from '@/core/craft/context';
import type { Field } from '@/core/craft/technique';

export interface InputProps {
  field: Field;
  value: unknown;
  /** How the element with this field meets other nails. */
  fitting?: Fitting | undefined;
  onChange: (value: unknown, gesture?: string) => void;
}

export type ListProps = Omit<InputProps, 'field'> & { field: Extract<Field, { kind: 'list' }> };
