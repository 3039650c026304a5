import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { finishReadings } from './finishReadings';

const demo = demoWorkshop();
const read = (id: string, climate = demo.shop.climate) => finishReadings(climate, 'C').find((r) => r.id === id)!;

describe('what preparing and curing tell', () => {
  it('the room, with both factors and what they stand against', () => {
    const room = read('climate');
    expect(room).toMatchObject({ verdict: 'fine', value: '×1.45 water, ×1.15 others' });
    expect(room.why).toContain('18 °C and 61 % humidity');
  });
  it('a room that drying times cannot be trusted in is a watch', () => {
    expect(read('climate', { celsius: 14, humidity: 0.92 })).toMatchObject({
      verdict: 'watch',
      advice: expect.stringContaining('fingertip'),
    });
    expect(read('climate', { celsius: 34, humidity: 0.2 }).verdict).toBe('watch');
  });
});
