import { expect, it } from 'vitest';
import { placeOf } from './place';

const id = '0198c2f0-0000-7000-8000-0000000000ab';

it.each([
  ['/', { kind: 'today', find: '' }],
  ['/?find=mill%20lane', { kind: 'today', find: 'mill lane' }],
  ['/call', { kind: 'call' }],
  ['/waiting', { kind: 'waiting' }],
  [`/jobs/${id}`, { kind: 'job', id, page: 'bench' }],
  [`/jobs/${id.toUpperCase()}/repair`, { kind: 'job', id, page: 'repair' }],
  [`/jobs/${id}/report`, { kind: 'job', id, page: 'report' }],
  [`/jobs/${id}/combustion`, { kind: 'job', id, page: 'combustion' }],
  ['/sensors', { kind: 'sensors', type: undefined }],
  ['/sensors?type=pt1000', { kind: 'sensors', type: 'pt1000' }],
  [`/jobs/${id}/toString`, { kind: 'none' }],
  ['/jobs/1', { kind: 'none' }],
  ['/setup', { kind: 'none' }],
])('%s is a page of its own', (address, place) => {
  expect(placeOf(new URL(address, 'http://127.0.0.1'))).toEqual(place);
});
