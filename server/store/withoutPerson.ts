import type { Commission } from '../../core/commission/schema';

/** A document without anything that tells whose it was. */
export function withoutPerson(document: Commission): Commission {
  const { buildDay, co2, crew, startTime, budgetMinor, schools } = document.brief;
  const { pictures: _pictures, site: _site, log: _log, shelved: _shelved, ...rest } = document;
  const plain = JSON.parse(
    JSON.stringify({ buildDay, co2, crew, startTime, budgetMinor, schools }),
  ) as Commission['brief'];
  return { ...rest, title: 'Erased commission', brief: plain };
}
