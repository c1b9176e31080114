'use client';
import { COLOUR_VIEWS } from '@/core/colour/views';
import { useStudio, useStudioStore } from '../studio/studio';
import { Pick } from '../kit/Pick';

/** By whose eyes, or in which light, the nails are shown. */
export function SeenAs() {
  const seenAs = useStudio((s) => s.seenAs);
  const store = useStudioStore();
  return (
    <Pick
      size="sm"
      aria-label="Seen"
      value={seenAs}
      data={COLOUR_VIEWS.map(({ key, words }) => ({ value: key, label: words }))}
      styles={{ input: { minHeight: 44, width: '100%' } }}
      onChange={(event) => store.getState().seeAs(event.currentTarget.value)}
    />
  );
}

/** The filters that pictures are seen through, on linear light. */
export function SeenAsFilters() {
  return (
    <svg width={0} height={0} style={{ position: 'absolute' }} aria-hidden>
      {COLOUR_VIEWS.map(
        ({ key, matrix: m }) =>
          m && (
            <filter key={key} id={`seen-${key}`} colorInterpolationFilters="linearRGB">
              <feColorMatrix
                type="matrix"
                values={[0, 3, 6].map((i) => `${m[i]} ${m[i + 1]} ${m[i + 2]} 0 0`).join(' ') + ' 0 0 0 1 0'}
              />
            </filter>
          ),
      )}
    </svg>
  );
}
