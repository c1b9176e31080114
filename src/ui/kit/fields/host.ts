'use client';
import { createContext, useContext, type ComponentType } from 'react';
import type { Fitting } from '@/core/craft/context';
import type { Print } from '@/core/craft/prints';
import type { PickProduct } from '@/core/craft/technique';
import type { Region } from '@/core/regions';

interface Writes {
  /** Values of one gesture are one step of undo. */
  onChange: (value: unknown, gesture?: string) => void;
}

export interface ProductFieldProps extends Writes {
  words: string;
  families: readonly string[];
  value: string;
}

export interface RegionFieldProps extends Writes {
  words: string;
  value: Region;
  /** How the element meets other nails. */
  fitting: Fitting | undefined;
}

export interface PrintFieldProps extends Writes {
  words: string;
  value: Print | null;
}

/** What fields take from where their form stands: the products of a set, the places of a nail, what is held there. */
export interface FieldHost {
  pick: PickProduct;
  colourOf: (product: string) => string | undefined;
  Product: ComponentType<ProductFieldProps>;
  Region: ComponentType<RegionFieldProps>;
  Print: ComponentType<PrintFieldProps>;
  /** What else the look has, to be kept on or off. */
  others: readonly { value: string; label: string }[];
  openPart: string | undefined;
  onOpenPart: (part: string) => void;
}

/** Away from any set there is no product and no nail to choose from. */
const NOWHERE: FieldHost = {
  pick: () => '',
  colourOf: () => undefined,
  Product: () => null,
  Region: () => null,
  Print: () => null,
  others: [],
  openPart: undefined,
  onOpenPart: () => undefined,
};

export const FieldHostContext = createContext<FieldHost>(NOWHERE);
export const useFieldHost = () => useContext(FieldHostContext);
