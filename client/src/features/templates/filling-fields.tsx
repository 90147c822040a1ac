import type { Asked } from '@kotiva/core/templates/asked';
import { PeoplePicker } from '@/features/item';
import { ErrorLine, Field, Labelled, Switch } from '@/ui';
import { t } from '@/words';

/** Blanks and roles as they are typed: by their names in small letters, a role of somebody who left by their id. */
export interface TypedFilling {
  blanks: Record<string, string>;
  roles: Record<string, string[]>;
}

interface FillingFieldsProps {
  asked: Asked;
  typed: TypedFilling;
  /** It was tried: what is missing says so. */
  tried: boolean;
  onChange: (some: Partial<TypedFilling>) => void;
}

/** A field for each blank, and people for each role. */
export function FillingFields({ asked, typed, tried, onChange: change }: FillingFieldsProps) {
  const people = [
    ...asked.roles.map((role) => ({ key: role.toLowerCase(), words: role })),
    ...asked.gone.map((person) => ({ key: person.id, words: t('template.left', { name: person.name }) })),
  ];
  return (
    <>
      {asked.blanks.map((blank) => (
        <Field
          key={blank}
          label={capital(blank)}
          value={typed.blanks[blank.toLowerCase()] ?? ''}
          maxLength={200}
          onChangeText={(value) => change({ blanks: { ...typed.blanks, [blank.toLowerCase()]: value } })}
          error={tried && !typed.blanks[blank.toLowerCase()]?.trim() ? t('template.fillIn') : null}
        />
      ))}
      {people.map(({ key, words }) => (
        <Labelled key={key} words={capital(words)}>
          <PeoplePicker
            label={words}
            chosen={typed.roles[key] ?? []}
            onToggle={(person) => change({ roles: { ...typed.roles, [key]: toggled(typed.roles[key] ?? [], person) } })}
          />
          <Switch
            words={t('template.nobodyYet')}
            on={typed.roles[key]?.length === 0}
            onChange={(on) =>
              change({ roles: on ? { ...typed.roles, [key]: [] } : Object.fromEntries(Object.entries(typed.roles).filter(([role]) => role !== key)) })
            }
          />
          <ErrorLine says={tried && !typed.roles[key] ? t('template.choose') : null} />
        </Labelled>
      ))}
    </>
  );
}

/** What still has to be said, by name. */
export const missingIn = ({ blanks, roles, gone }: Asked, typed: TypedFilling): string[] => [
  ...blanks.filter((blank) => !typed.blanks[blank.toLowerCase()]?.trim()),
  ...roles.filter((role) => !typed.roles[role.toLowerCase()]),
  ...gone.filter(({ id }) => !typed.roles[id]).map(({ name }) => name),
];

const capital = (text: string): string => text.charAt(0).toLocaleUpperCase() + text.slice(1);
/** Whoever is chosen goes with a tap, and is let go by another. */
const toggled = (chosen: readonly string[], person: string): string[] =>
  chosen.includes(person) ? chosen.filter((one) => one !== person) : [...chosen, person];
