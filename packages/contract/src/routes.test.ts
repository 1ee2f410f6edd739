import { routes, routeNames, routeOf } from './routes';
import { accountRoutes } from './routes/account';
import { drivesRoutes } from './routes/drives';
import { learnersRoutes } from './routes/learners';
import { lessonsRoutes } from './routes/lessons';
import { meRoutes } from './routes/me';
import { placesRoutes } from './routes/places';
import { roadsRoutes } from './routes/roads';
import { safetyQuestionsRoutes } from './routes/safety-questions';
import { schoolRoutes } from './routes/school';
import { standardsRoutes } from './routes/standards';
import { wheelsRoutes } from './routes/wheels';
import { yardRoutes } from './routes/yard';

const features = [
  accountRoutes,
  drivesRoutes,
  learnersRoutes,
  lessonsRoutes,
  meRoutes,
  placesRoutes,
  roadsRoutes,
  safetyQuestionsRoutes,
  schoolRoutes,
  standardsRoutes,
  wheelsRoutes,
  yardRoutes,
];

it('no two features call a route by the same name: the later would take the place of the earlier', () => {
  const names = features.flatMap((feature) => Object.keys(feature));
  expect(names.sort()).toEqual(Object.keys(routes).sort());
});

it('no two routes answer the same call', () => {
  const calls = routeNames.map((name) => {
    const { method, path } = routeOf(name);
    // Whatever stands in a hole, the address is the same.
    return `${method} ${path.replaceAll(/:\w+/g, ':')}`;
  });
  expect(calls.filter((call, i) => calls.indexOf(call) !== i)).toEqual([]);
});
