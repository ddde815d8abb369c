import { t } from '../text/text';
import { bondsTo, SUBSTRATE_NAMES } from '../materials/substrates';
import { APPROVAL_NAMES, STRAIN_NAMES } from '../materials/words';
import { m, mm } from '../message/message';
import { atLeast, fits, fitsIf, LOOKED_EARLY, no, type Rule } from './rule';

/** From this flexing rating a card follows a soft plastic instead of peeling off. */
const GIVES = 2;

/** Approval for what it touches: for every wetted material of a job. */
export const approvedRule: Rule = {
  id: 'approved',
  name: t('Approval'),
  question: t('Is it approved for what it touches?'),
  judge: ({ card, demand }) => {
    if (!demand.approval) return fits(t('Nothing here asks for an approval.'));
    const what = APPROVAL_NAMES[demand.approval].toLowerCase();
    const found = card.approvals.find((a) => a.for === demand.approval);
    return found
      ? fits(() =>
          m('Approved for {what}: {certificate}.', { what, certificate: found.certificate }),
        )
      : no(() => m('Its card names no approval for {what}.', { what }));
  },
};

/** Rules for what is easily forgotten: approvals, loading, surfaces that nothing bonds to, the room next door. */
export const forgottenRules: Rule[] = [
  approvedRule,
  {
    id: 'strain',
    name: t('How it is loaded'),
    question: t('Is it made for what comes and goes, shakes or freezes?'),
    judge: ({ card, survey, demand }) => {
      const { strains } = demand;
      if (strains.length === 0) return fits(t('It is loaded steadily.'));
      const missing = strains.filter((s) => !card.service.strains.includes(s));
      const names = (list: typeof strains) => list.map((s) => STRAIN_NAMES[s].toLowerCase());
      if (missing.length === 0)
        return fits(() => m('It is made for this: {names}.', { names: names(strains) }));
      const because = () =>
        m('Its card does not name it as made for this: {names}.', { names: names(missing) });
      return survey.intent === 'stopgap'
        ? fitsIf(LOOKED_EARLY, because, { early: true })
        : no(because);
    },
  },
  {
    id: 'grip',
    name: t('Grip'),
    question: t('Does it hold on what nothing bonds to, or what softens it?'),
    judge: ({ card, survey, demand }) => {
      const { material, soft } = demand;
      const name = SUBSTRATE_NAMES[material].toLowerCase();
      const wraps = card.tape !== undefined && demand.wrap !== null;
      if (!bondsTo(material))
        return wraps
          ? fits(() => m('Nothing bonds to {name}: the wrap grips right round it.', { name }))
          : fitsIf(t('it is keyed through or clamped, so that it grips without a bond'), () =>
              m('Nothing bonds to {name}: it holds by a mechanical grip alone.', { name }),
            );
      if (!soft) return fits(t('It holds by its bond.'));
      if (wraps || card.service.flex >= GIVES) return fits(t('It gives with what is soft.'));
      const because = t('The softener of the plastic goes into rigid resin, which then lets go.');
      return survey.intent === 'stopgap'
        ? fitsIf(t('a test patch has held for a day'), because)
        : no(because);
    },
  },
  {
    id: 'room',
    name: t('Room'),
    question: t('Is there straight length enough beside the damage?'),
    judge: ({ wrap, demand }) => {
      if (!wrap || !demand.wrap) return fits(t('It needs no length beside it.'));
      const need = Math.max(...wrap.besideMm);
      const { straightMm } = demand.wrap;
      if (straightMm === null)
        return fits(() =>
          m('It takes {need} each side, which nobody measured.', { need: mm(need) }),
        );
      const against = {
        value: straightMm,
        limit: need,
        quantity: 'length' as const,
        sense: 'min' as const,
      };
      return atLeast(straightMm, need)
        ? fits(() => m('It takes {need} each side.', { need: mm(need) }), against)
        : no(
            () =>
              m('It takes {need} each side, and there are {got}.', {
                need: mm(need),
                got: mm(straightMm),
              }),
            { against },
          );
    },
  },
];
