import type { SystemContext } from '@chakra-ui/react';
import { type SerializedStyles, serializeStyles } from '@emotion/serialize';

// The library works out the styles of every element whenever it is drawn: a recipe made anew, each property looked up,
// the whole written as text and counted into a name. They hang on nothing but the style properties, so each set of them
// is worked out once.

/** How many sets are kept; all go when there are more, since only made-up colours and sizes could make so many. */
const most = 4000;

type Styles = Parameters<SystemContext['css']>;

/** The same system, which keeps what it has worked out. To be given to ChakraProvider. */
export function kept(system: SystemContext): SystemContext {
  const valid = new Map<string, boolean>();
  const recipes = new WeakMap<object, ReturnType<SystemContext['cva']>>();
  const written = new Map<string, SerializedStyles>();
  return {
    ...system,
    isValidProperty(prop) {
      let is = valid.get(prop);
      if (is === undefined) {
        is = system.isValidProperty(prop);
        valid.set(prop, is);
      }
      return is;
    },
    cva(config) {
      let recipe = recipes.get(config);
      if (!recipe) {
        recipe = plain(system.cva(config));
        recipes.set(config, recipe);
      }
      return recipe;
    },
    // Only elements as they are drawn ask this one; what they do with it, an element's class, is what emotion makes of
    // styles that are written already.
    css(...styles) {
      const key = keyOf(styles);
      let text = written.get(key);
      if (!text) {
        if (written.size >= most) written.clear();
        text = serializeStyles([system.css(...styles)]);
        written.set(key, text);
      }
      return text as unknown as ReturnType<SystemContext['css']>;
    },
  } as SystemContext;
}

/** A recipe without variants says the same of all properties. */
function plain(recipe: ReturnType<SystemContext['cva']>): typeof recipe {
  if (recipe.variantKeys.length > 0) return recipe;
  const same = recipe();
  return Object.assign(() => same, recipe);
}

/** What is given again and again, a recipe's styles, is written once. */
const names = new WeakMap<object, string>();

function keyOf(styles: Styles): string {
  let key = '';
  const last = styles.length - 1;
  for (let i = 0; i < last; i++) key += `${nameOf(styles[i])}\0\0`;
  return key + properties(styles[last]);
}

function nameOf(style: Styles[number]): string {
  if (!style) return '';
  let name = names.get(style);
  if (name === undefined) {
    name = properties(style);
    names.set(style, name);
  }
  return name;
}

/** As text in which no two sets are alike: what is no text says so. */
function properties(style: Styles[number]): string {
  let key = '';
  for (const prop in style) {
    const value: unknown = style[prop as keyof typeof style];
    if (value !== undefined) key += `${prop}\0${typeof value === 'string' ? value : `\0${JSON.stringify(value)}`}\0`;
  }
  return key;
}
