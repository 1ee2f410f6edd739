import type { LearnerView } from '@jasperwren/contract/learners';
import type { SchoolReadiness } from '@jasperwren/contract/readiness';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import Koa from 'koa';
import type { Who } from '../call';
import { nowAndThen } from '../now-and-then';
import { addPerson, startTwoSchools, testClient } from '../testing';
import { answersOf, changesOf } from './answers';

/** Answers of a route to somebody, over HTTP, with how often one was made. */
async function asked(ofSchool: boolean) {
  const changes = changesOf();
  const answer = answersOf(changes);
  const route = { ...routeOf('learners'), ofSchool };
  let made = 0;
  const app = new Koa();
  app.use((ctx) => {
    const [schoolId = '', accountId = '', role = 'instructor'] = ctx.get('x-who').split(' ');
    const who: Who = { schoolId, accountId, role: role as Who['role'] };
    return answer(ctx, route, who, async () => {
      made += 1;
      await new Promise((resolve) => setTimeout(resolve, 20));
      return { of: ctx.get('x-who'), text: 'x'.repeat(3000) };
    });
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as { port: number };
  const ask = async (who: string) => {
    const response = await fetch(`http://127.0.0.1:${port}/api/learners`, { headers: { 'x-who': who } });
    return ((await response.json()) as { of: string }).of;
  };
  return { ask, changes, made: () => made, close: () => new Promise((resolve) => server.close(resolve)) };
}

describe('an answer of a school', () => {
  it('is made once for all in one role who ask at one time, and for nobody else', async () => {
    const { ask, changes, made, close } = await asked(true);
    const people = ['first ada instructor', 'first bo instructor', 'first cy instructor'];
    expect(await Promise.all(people.map(ask))).toEqual(people.map(() => people[0]));
    expect(made()).toBe(1);
    expect(await ask('first lena lead')).toBe('first lena lead');
    expect(await ask('second ada instructor')).toBe('second ada instructor');
    expect(made()).toBe(3);
    changes.note('first', ['learners']);
    expect(await ask(people[1]!)).toBe(people[1]);
    expect(made()).toBe(4);
    await close();
  });

  it('is one of each person where it is not the same for all', async () => {
    const { ask, made, close } = await asked(false);
    expect(await Promise.all(['first ada', 'first bo'].map(ask))).toEqual(['first ada', 'first bo']);
    expect(made()).toBe(2);
    await close();
  });
});

it('what is said to be the same for everybody in a role is the same on the real server', async () => {
  const { server, first } = await startTwoSchools();
  const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally' };
  await first.send<LearnerView>('POST', '/api/learners', learner);
  const people = [];
  for (const email of ['one@first.example', 'two@first.example']) {
    await addPerson(first, email);
    const person = testClient(server.address);
    await person.signIn(email);
    people.push(person);
  }
  await server.settled();
  const ofSchool = routeNames.map(routeOf).filter((route) => route.ofSchool);
  expect(ofSchool.length).toBeGreaterThan(4);
  for (const { path } of ofSchool) {
    // Without what is kept: a query that no page asks.
    const [a, b] = await Promise.all(people.map((person, i) => person.send('GET', `${path}?unkept=${i}`)));
    expect([path, a!.status, a!.body]).toEqual([path, 200, b!.body]);
  }
  // What leads alone see stays with them.
  const { body } = await people[0]!.send<SchoolReadiness>('GET', '/api/readiness');
  expect(body.markers).toEqual([]);
  await server.remove();
});

it('what goes on and on is told at once, then now and then, and the last of it always', () => {
  jest.useFakeTimers();
  const told: string[] = [];
  const tell = nowAndThen((key) => told.push(key), 100);
  for (let i = 0; i < 5; i++) tell('a');
  tell('b');
  expect(told).toEqual(['a', 'b']);
  jest.advanceTimersByTime(100);
  expect(told).toEqual(['a', 'b', 'a']);
  jest.advanceTimersByTime(500);
  tell('a');
  expect(told).toEqual(['a', 'b', 'a', 'a']);
  jest.useRealTimers();
});
