import { z } from 'zod';
import { text } from '../schema/text';

/** What may stand between braces in a template, and what a preview puts there. */
export const PLACES = {
  customer: 'Aldwater Orchards',
  unit: 'wheel cylinder, rear left',
  machine: 'Orchard tractor',
  tag: 'SQ-0123',
  shop: 'the workshop',
  'to pay': 'EUR 63.10',
} as const;
export type Place = keyof typeof PLACES;

/** The shop's words to customers: what each is for, which places it may have, and how it reads until the shop words it otherwise. */
export const TEMPLATES = {
  quote: {
    label: 'A quote',
    places: ['customer', 'unit', 'machine', 'tag', 'shop'],
    standard:
      '{customer}: this is what can be done about your {unit} off the {machine} ({tag}), what it costs, and when it is ready. Please choose, ask, or say no; until then it waits.',
  },
  ready: {
    label: 'It is ready',
    places: ['customer', 'unit', 'machine', 'tag', 'shop', 'to pay'],
    standard: '{customer}: your {unit} off the {machine} ({tag}) is ready to be fetched. To pay: {to pay}.',
  },
} as const satisfies {
  readonly [name: string]: { readonly label: string; readonly places: readonly Place[]; readonly standard: string };
};
export type TemplateName = keyof typeof TEMPLATES;
export const TEMPLATE_NAMES = Object.keys(TEMPLATES) as readonly TemplateName[];

const BRACED = /\{([^{}]*)\}/g;

/** A template with what stands for its places. */
export const fill = (template: string, values: Readonly<Partial<Record<Place, string>>>): string =>
  template.replace(BRACED, (whole, name: string) => values[name as Place] ?? whole);

const templateSchema = (name: TemplateName) => {
  const places: readonly string[] = TEMPLATES[name].places;
  return text()
    .trim()
    .min(10, 'what are they told?')
    .max(2000)
    .superRefine((t, context) => {
      const unknown = [...t.matchAll(BRACED)].map((m) => m[1] ?? '').filter((p) => !places.includes(p));
      if (unknown.length > 0)
        context.addIssue({
          code: 'custom',
          message: `knows {${places.join('}, {')}}, and not ${[...new Set(unknown)].map((u) => `{${u}}`).join(', ')}`,
        });
    });
};
export const TemplatesSchema = z.object({ quote: templateSchema('quote'), ready: templateSchema('ready') });
export type Templates = z.output<typeof TemplatesSchema>;
export const STANDARD_TEMPLATES: Templates = { quote: TEMPLATES.quote.standard, ready: TEMPLATES.ready.standard };
