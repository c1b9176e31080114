'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { today } from '@/core/model/days';
import { isDay, madeFault, offFault, type Worn } from '@/core/model/wear';
import { changeWorn } from '@/data/worn';
import { notKept } from '../kit/notify';
import classes from './WearView.module.css';

/** The day it was made, as it is known or put right, and the day it came off: from then on it is not seen to hold any longer. */
export function WornDays({ worn }: { worn: Worn }) {
  return (
    <span className={classes.ask}>
      <WornDay
        label="Made on"
        value={worn.made_on}
        faultOf={(day) => (day ? madeFault(worn, day, today()) : 'a day')}
        onPut={(made_on) => void changeWorn(worn.set, (now) => ({ ...now, made_on })).catch(notKept)}
      />
      <WornDay
        label="Came off on"
        value={worn.off_on ?? ''}
        faultOf={(day) => (day ? offFault(worn, day, today()) : undefined)}
        onPut={(day) => void changeWorn(worn.set, (now) => ({ ...now, off_on: day || null })).catch(notKept)}
      />
    </span>
  );
}

interface DayProps {
  label: string;
  value: string;
  faultOf: (day: string) => string | undefined;
  onPut: (day: string) => void;
}

function WornDay({ label, value, faultOf, onPut }: DayProps) {
  const [typed, setTyped] = useState(value);
  return (
    <TextInput
      type="date"
      label={label}
      value={typed}
      max={today()}
      error={typed !== '' && !isDay(typed) ? 'a day' : faultOf(typed)}
      onChange={({ currentTarget }) => {
        const day = currentTarget.value;
        setTyped(day);
        if ((day === '' || isDay(day)) && faultOf(day) === undefined) onPut(day);
      }}
    />
  );
}
