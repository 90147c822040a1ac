import type { Reader, Template, TemplateItem } from '@kotiva/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { useSubmit } from '@/store/live-house.tsx';
import type { Store } from '@/store/store.ts';
import { t } from '@/words';
import { sayReason } from '@/words/problems.ts';
import { allTemplates } from './template-sheet.tsx';

/** As docs/api.md describes it: what `template.make` takes, with a head that says what it is. */
const FORMAT = 'kotiva-template';
const VERSION = 1;
/** More is no template. */
const MOST_BYTES = 4_000_000;

/** People are of one house: in a file they are the roles their names are. Places, situations and files stay where they are. */
function fileOf(template: Template, items: readonly TemplateItem[], rows: Reader) {
  const { name, kind, purpose, colour, icon, listKind, anchorName, sections, text } = template;
  const place = new Map(items.map(({ id }, nth) => [id, nth]));
  const nameOf = (id: string) => {
    const person = rows.find('person', id);
    return person === undefined ? t('person.someone') : person.name;
  };
  return {
    format: FORMAT,
    version: VERSION,
    name,
    kind,
    purpose,
    colour,
    icon,
    listKind,
    anchorName,
    ...(kind === 'talk' ? { text } : {}),
    sections: sections.map((section) => section.name),
    items: items.map(
      ({ title, notes, parentId, sectionId, due, start, holders, effort, energy, dayPart, importance, policy, confirm, wanted, tagIds, firstIds }) => {
        const section = sections.findIndex(({ id }) => id === sectionId);
        return {
          title,
          notes,
          under: parentId === null ? null : (place.get(parentId) ?? null),
          section: section < 0 ? null : section,
          due,
          start,
          firsts: (firstIds ?? []).flatMap((id) => place.get(id) ?? []),
          holders: holders.map((holder) => ('role' in holder ? holder : { role: nameOf(holder.person).slice(0, 40) })),
          tags: tagIds.flatMap((id) => {
            const tag = rows.find('tag', id);
            return tag === undefined ? [] : [tag.name];
          }),
          ...{ effort, energy, dayPart, importance, policy, confirm, wanted },
        };
      },
    ),
  };
}

export function downloadTemplate(template: Template, items: readonly TemplateItem[], rows: Reader): void {
  const blob = new Blob([JSON.stringify(fileOf(template, items, rows), null, 2)], { type: 'application/json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${template.name.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'template'}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** A template that comes as a file: read here, and decided like any other. */
export function useImport(): { choose: () => void; error: string | null } {
  const submit = useSubmit();
  const router = useRouter();
  const store = useStore() as Store;
  const [error, setError] = useState<string | null>(null);
  const take = async (file: File) => {
    const read = await readTemplate(file);
    if (read === null) return setError(t('templates.unread', { name: file.name }));
    const known = new Set(allTemplates(store).map(({ id }) => id));
    const reason = submit('template.make', read as never, {
      words: t('said.templateMade', { name: String(read['name'] ?? '') }),
      undo: true,
      ownRefusal: true,
    });
    if (reason) return setError(reason.code === 'malformed' ? t('templates.unreadAt', { name: file.name, field: reason.field ?? '' }) : sayReason(reason));
    const made = allTemplates(store).find(({ id }) => !known.has(id));
    if (made) router.push(`/templates/${made.id}`);
  };
  const choose = () => {
    setError(null);
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'application/json,.json';
    input.onchange = () => {
      const [file] = input.files ?? [];
      if (file) void take(file);
    };
    input.click();
  };
  return { choose, error };
}

/** What the file says, without its head; null: it is none of ours, or larger than any. */
export async function readTemplate(file: Blob): Promise<Record<string, unknown> | null> {
  if (file.size > MOST_BYTES) return null;
  try {
    const { format, version, ...said } = JSON.parse(await file.text()) as Record<string, unknown>;
    return format === FORMAT && version === VERSION ? said : null;
  } catch {
    return null;
  }
}
