import Type from 'typebox';
import { event } from '../job/shapes/event';
import { job } from '../job/shapes/job';
import { list, record } from '../job/shapes/shape';
import { shop } from '../job/shapes/shop';
import { FILE_VERSION } from './version';
export { FILE_VERSION };

export const jobFile = record({ kolleta: Type.Literal('job'), version: Type.Literal(FILE_VERSION), job }, 'jobFile');
export const workshopFile = record(
  {
    kolleta: Type.Literal('workshop'),
    version: Type.Literal(FILE_VERSION),
    shop,
    jobs: list(job, 5000),
    events: list(event, 200_000),
  },
  'workshopFile',
);
