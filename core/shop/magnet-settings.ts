import { length, ratio, type SettingDeclaration } from './setting'

/** Disc magnets and how they hold. */
export const MAGNET_SETTINGS = {
  discPlay: length('Magnets', 'Disc in its hole', 0.2, [0, 2], 'Room for a disc and its glue, on the diameter.'),
  discCover: length('Magnets', 'Cover over a disc', 1.5, [0.5, 10], 'Wood between a disc and the tool: pull falls off fast with it.'), // prettier-ignore
  discGap: length('Magnets', 'Between two discs', 5, [1, 100], 'Wood between neighbouring discs.'),
  magnetFriction: ratio('Magnets', 'Friction on the cover', 0.25, [0.05, 1], 'Steel on wood; what slides down is held by friction alone.'), // prettier-ignore
  magnetSpare: ratio(
    'Magnets',
    'Held so many times',
    2,
    [1, 10],
    'The pull is shared out over so many times the weight.',
  ),
  thinSteel: ratio('Magnets', 'Pull on thin steel', 0.5, [0.05, 1], 'Of the pull on thick flat steel; an estimate, replaced by a pull test.'), // prettier-ignore
  thinSteelUnder: length(
    'Magnets',
    'Steel is thin under',
    3,
    [0.5, 10],
    'Thinner steel does not carry the whole field.',
  ),
  roundSteel: ratio('Magnets', 'Pull on a round shank', 0.25, [0.05, 1], 'Of the pull on thick flat steel; an estimate, replaced by a pull test.'), // prettier-ignore
} as const satisfies Record<string, SettingDeclaration>
