/** Celsius to Fahrenheit: 24 °C is 75.2 °F. */
export function fahrenheitFromCelsius(celsius: number): number {
  return (celsius * 9) / 5 + 32;
}

/** Fahrenheit to Celsius: 77 °F is 25 °C. */
export function celsiusFromFahrenheit(fahrenheit: number): number {
  return ((fahrenheit - 32) * 5) / 9;
}
