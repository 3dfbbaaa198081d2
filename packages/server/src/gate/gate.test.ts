import express from 'express';
import request from 'supertest';
import { createGate } from './gate';

/** An application whose slow requests end when they are let go, and that works alone on request. */
function application() {
  const said: string[] = [];
  const gate = createGate();
  let letGo = (): void => undefined;
  const going = new Promise<void>((resolve) => (letGo = resolve));
  const app = express();
  app.use(gate.pass);
  app.get('/slow', async (_request, response) => {
    said.push('slow begins');
    await going;
    said.push('slow ends');
    response.json({});
  });
  app.get('/quick', (_request, response) => {
    said.push('quick');
    response.json({});
  });
  app.get('/alone', async (_request, response) => {
    await gate.alone(async () => {
      said.push('alone begins');
      await new Promise((resolve) => setTimeout(resolve, 60));
      said.push('alone ends');
    });
    response.json({});
  });
  app.get('/fails', async (_request, response) => {
    await gate.alone(() => Promise.reject(new Error('no'))).catch(() => said.push('failed'));
    response.json({});
  });
  return { app, said, letGo };
}
const soon = (ms = 40): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

test('work alone waits for what is under way, and holds back what comes after', async () => {
  const { app, said, letGo } = application();
  const slow = request(app).get('/slow').then();
  await soon();
  const alone = request(app).get('/alone').then();
  await soon();
  const quick = request(app).get('/quick').then();
  await soon();
  expect(said).toEqual(['slow begins']);
  letGo();
  await Promise.all([slow, alone, quick]);
  expect(said).toEqual(['slow begins', 'slow ends', 'alone begins', 'alone ends', 'quick']);
});

test('two that want to be alone come one after the other, and none waits for ever', async () => {
  const { app, said } = application();
  await Promise.all([request(app).get('/alone'), request(app).get('/alone'), request(app).get('/quick')]);
  expect(said.filter((word) => word !== 'quick')).toEqual([
    'alone begins',
    'alone ends',
    'alone begins',
    'alone ends',
  ]);
});

test('work that fails opens the gate again', async () => {
  const { app, said } = application();
  await request(app).get('/fails').expect(200);
  await request(app).get('/alone').expect(200);
  await request(app).get('/quick').expect(200);
  expect(said).toEqual(['failed', 'alone begins', 'alone ends', 'quick']);
});
