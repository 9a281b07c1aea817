import { setTimeout as after } from 'node:timers/promises';
import type { Request, Response } from 'express';

/** Under which path of any site the stand-in answers. */
export const BENCH_PATH = '/stand-in/bench';

/** How long it takes to think, in ms. */
const THINKS = 1500;

/** Every so many times there is no bench left. */
const FULL_EVERY = 4;

/** Of how many places it keeps count: those are forgotten first that were asked for first. */
const MOST_PLACES = 1000;

/**
 * A booking service as a site might ask one, small and made up: it takes a while, and is full every fourth time, for each
 * place by itself. It ships so that asking and failing are real where nothing else is there.
 */
export class BenchBooking {
  private readonly asked = new Map<string, number>();

  /** @param thinks how long it takes to answer, in ms */
  constructor(private readonly thinks = THINKS) {}

  /** Answers a booking: `POST` with a place in the query, else what it wants to be asked. */
  async answer(request: Request, response: Response): Promise<void> {
    response.set('cache-control', 'no-store');
    if (request.method !== 'POST') {
      response.status(405).set('allow', 'POST').json({ said: 'A bench is booked with POST.' });
      return;
    }
    const { shed } = request.query;
    const place = typeof shed === 'string' ? shed.slice(0, 80) : '';
    const times = (this.asked.get(place) ?? 0) + 1;
    this.asked.delete(place);
    this.asked.set(place, times);
    if (this.asked.size > MOST_PLACES) this.asked.delete(this.asked.keys().next().value!);
    await after(this.thinks);
    if (times % FULL_EVERY === 0) {
      response.status(409).json({ said: 'All benches are taken.' });
      return;
    }
    response.status(201).json({ said: `Bench ${times} is yours.`, bench: times });
  }
}
