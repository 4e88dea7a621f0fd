import type { Grown } from '../../../core/planted/grown';
import type { Commission, Option } from '../../../core/commission/schema';
import type { Offered } from '../../../core/commission/quoteSchema';
import type { ProposalView } from '../../../core/pricing/proposalView';
import { eyeFrom } from '../../../core/view/eye';
import { links } from '../../document/links';
import { halfGrown } from '../../drawing/halfGrown';
import { photographer } from '../../drawing/seat/photographer';
import type { OptionPlan } from '../../frame/optionPlans';
import type { useFigures } from '../../units/figures';
import { wording } from '../../words/wording';
import { offered, proposalView } from './proposalView';
import { asJpeg } from './sheetPictures';

/** Pixels of a photograph of an option that no sheet shows. */
const [WIDE_PX, HIGH_PX] = [1_000, 520];
/** Pictures that become one: the client does not wait for it, who sends it does. */
const PICTURES = 8;

/** An option beside the one that is looked at: what a link shows of it, and what a yes to it freezes. */
export async function shownBeside(
  id: string,
  doc: Commission,
  option: Option,
  known: OptionPlan,
  f: ReturnType<typeof useFigures>,
): Promise<{ view: ProposalView; offers: Offered }> {
  const jpeg = await fromTheSeat(doc, option, known);
  const pictures = jpeg ? [{ id: (await links.picture(id, jpeg)).id, caption: captionOf(doc) }] : [];
  return { view: { ...proposalView(doc, known.plan, f), pictures }, offers: offered(known.plan, f) };
}

/** What the picture of an option is called. */
export const captionOf = ({ brief }: Commission) =>
  brief.seats?.[0] ? wording('proposal.from', { seat: brief.seats[0].name }) : wording('proposal.picture');

/** As the client sees it, grown as said or more than half-way, photographed to the end whatever the sheet shows by then; null where the browser draws no perspectives. */
export async function fromTheSeat(doc: Commission, option: Option, { plan, field }: OptionPlan, grown?: readonly Grown[]): Promise<Blob | null> {
  const camera = photographer(WIDE_PX, HIGH_PX);
  if (!camera) return null;
  const { vessel, brief, site, catalogue } = doc;
  const seen = { vessel, option, materials: catalogue.materials, field, survey: plan.survey };
  const look = { refraction: false, light: 'day' as const, plants: grown ?? halfGrown(doc, option, field) };
  const eye = eyeFrom(vessel, brief.seats?.[0], site?.baseHeightMm);
  try {
    return await asJpeg(await camera.take({ seen, eye, look }, PICTURES));
  } finally {
    camera.dispose();
  }
} // prettier-ignore
