import type { Commission } from '../commission/schema';
import { placesOf } from '../units/money';

/** Fields of a document that are amounts in the minor unit of its currency. */
const isAmount = (key: string) => key.endsWith('Minor');

/**
 * The same commission in another currency: every amount keeps its figure, 12.50 stays 12.50, since nobody here knows what
 * one is worth in the other. In a currency without a minor unit it is the whole figure next to it.
 */
export function inCurrency(commission: Commission, currency: string): Commission {
  if (currency === commission.currency) return commission;
  const times = 10 ** (placesOf(currency) - placesOf(commission.currency));
  const walked = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walked);
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, v]) => [
        key,
        isAmount(key) && typeof v === 'number' ? Math.round(v * times) : walked(v),
      ]),
    );
  };
  const { brief, catalogue } = commission;
  return { ...commission, currency, brief: walked(brief) as typeof brief, catalogue: walked(catalogue) as typeof catalogue }; // prettier-ignore
}
