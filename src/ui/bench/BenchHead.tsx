'use client';
import { Button } from '@mantine/core';
import { IconArrowBackUp, IconCamera, IconCoffee, IconDots } from '@tabler/icons-react';
import { useRef } from 'react';
import type { AtTable } from '@/core/bench/atTable';
import { FileInput } from '../kit/FileInput';
import { MoreMenu, type MenuEntry } from '../kit/MoreMenu';
import { clockWords, timeWords } from '@/core/model/times';
import classes from './BenchView.module.css';

interface Props {
  table: AtTable | undefined;
  now_ms: number;
  planned_s: number;
  practice: string | undefined;
  instead: readonly MenuEntry[];
  more: readonly MenuEntry[];
  onBack: () => void;
  onBreak: () => void;
  /** Undefined where no photo can be kept. */
  onPhoto: ((file: File) => void) | undefined;
}

/** How long it has gone, and what can be done besides the one press. */
export function BenchHead({
  table,
  now_ms,
  planned_s,
  practice,
  instead,
  more,
  onBack,
  onBreak,
  onPhoto,
}: Props) {
  const file = useRef<HTMLInputElement>(null);
  const begun = table?.begun_ms !== undefined;
  const goesOn = begun && !table.ended;
  return (
    <header className={classes.head}>
      <p className={classes.clock} data-testid="bench-clock">
        {begun ? clockWords((now_ms - table.begun_ms!) / 1000) : timeWords(planned_s)}
        <small>
          {table ? ` ${table.done} of ${table.total}` : ' in all, as planned'}
          {practice && ` · ${practice}`}
        </small>
      </p>
      <div className={classes.headRight}>
        {goesOn && (
          <>
            <Button
              variant="default"
              leftSection={<IconArrowBackUp size={18} />}
              disabled={table.done === 0}
              onClick={onBack}
            >
              Back
            </Button>
            <Button
              variant="default"
              leftSection={<IconCoffee size={18} />}
              disabled={table.paused_ms !== undefined}
              onClick={onBreak}
            >
              Break
            </Button>
            {onPhoto && (
              <>
                <FileInput
                  input={file}
                  accept="image/png,image/jpeg,image/webp"
                  label="A photo"
                  onFile={onPhoto}
                />
                <Button
                  variant="default"
                  leftSection={<IconCamera size={18} />}
                  onClick={() => file.current?.click()}
                >
                  Photo
                </Button>
              </>
            )}
          </>
        )}
        {instead.length > 0 && (
          <MoreMenu
            label="What happens instead"
            entries={instead}
            face={{ words: 'Instead …', icon: null }}
          />
        )}
        <MoreMenu
          label="More at the bench"
          entries={more}
          face={{ words: 'More', icon: <IconDots size={18} /> }}
        />
      </div>
    </header>
  );
}
