import express from 'express';
import request from 'supertest';
import { BENCH_PATH, BenchBooking } from './bench-booking';

const booking = new BenchBooking(0);
const app = express().all(BENCH_PATH, (asked, answer) => booking.answer(asked, answer));
const book = (shed: string) => request(app).post(`${BENCH_PATH}?shed=${shed}`);

test('every fourth booking of a place finds it full, whatever happens elsewhere', async () => {
  const all: number[] = [];
  for (let i = 0; i < 8; i += 1) {
    all.push((await book('millgate')).status);
    await book('bellfield');
  }
  expect(all).toEqual([201, 201, 201, 409, 201, 201, 201, 409]);
  const { body } = await book('millgate').expect(201);
  expect(body).toEqual({ said: 'Bench 9 is yours.', bench: 9 });
});

test('it is asked with POST, and answers in JSON that nobody keeps', async () => {
  const { headers } = await request(app).get(BENCH_PATH).expect(405);
  expect(headers['allow']).toBe('POST');
  const answer = await book('a').expect(201);
  expect(answer.headers['content-type']).toMatch(/^application\/json/);
  expect(answer.headers['cache-control']).toBe('no-store');
});
