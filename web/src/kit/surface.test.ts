import { describe, expect, it } from 'vitest';
import { blend, scattered } from './surface';

const field = { left: 10, top: 20, width: 100, height: 50 };

describe('a drawn surface', () => {
  it('is the same each time, and what grew stays where it was', () => {
    const few = scattered(3, 5, field);
    expect(scattered(3, 5, field)).toEqual(few);
    expect(scattered(3, 9, field).slice(0, 5)).toEqual(few);
    expect(scattered(4, 5, field)).not.toEqual(few);
  });

  it('keeps to its field', () => {
    scattered(7, 200, field).forEach(({ x, y, size }) => {
      expect(x).toBeGreaterThanOrEqual(10);
      expect(x).toBeLessThanOrEqual(110);
      expect(y).toBeGreaterThanOrEqual(20);
      expect(y).toBeLessThanOrEqual(70);
      expect(size).toBeLessThanOrEqual(1);
    });
  });

  it('has colours between two', () => {
    expect(blend('#000000', '#ffffff', 0)).toBe('#000000');
    expect(blend('#000000', '#ff8000', 1)).toBe('#ff8000');
    expect(blend('#000000', '#0000ff', 0.5)).toBe('#000080');
  });
});
