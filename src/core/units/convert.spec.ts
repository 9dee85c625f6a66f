import { expect, it } from 'vitest';
import { celsiusToFahrenheit, fahrenheitToCelsius, ML_PER_US_FL_OZ, ML_PER_US_GAL } from './convert';

it('keeps 128 fluid ounces to the gallon', () => {
  expect(ML_PER_US_FL_OZ * 128).toBeCloseTo(ML_PER_US_GAL, 9);
});

it('converts temperatures there and back', () => {
  expect(celsiusToFahrenheit(100)).toBe(212);
  expect(fahrenheitToCelsius(celsiusToFahrenheit(-12.5))).toBeCloseTo(-12.5, 12);
});
