import Papa from 'papaparse';
import { ownTimesCsv } from './ownTimesCsv';

it('own times are a CSV that another reader reads', () => {
  const text = ownTimesCsv([
    { work: 'coat', family: 'gel-colour', share: 0.85, from: 0.8, to: 0.95, times: 12 },
    { work: 'file', hand: 'left', share: 1.4, from: 1.2, to: 1.6, times: 9 },
  ]);
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(errors).toEqual([]);
  expect(data).toEqual([
    { work: 'coat', family: 'gel-colour', hand: '', share: '0.85', from: '0.8', to: '0.95', times: '12' },
    { work: 'file', family: '', hand: 'left', share: '1.4', from: '1.2', to: '1.6', times: '9' },
  ]);
});
