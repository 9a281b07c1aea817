import { Type } from '@sinclair/typebox';
import { isSaid, say } from '../said';
import { whyNot } from './why-not';

test('a number that JSON has none of is told as none, in what can be sent and read again', () => {
  for (const value of [Infinity, -Infinity, NaN]) {
    const { reason } = whyNot(Type.Number(), value, []);
    expect(reason.about?.['says']).toEqual(say('must-be-number'));
    expect(isSaid(JSON.parse(JSON.stringify(reason)))).toBe(true);
  }
});
