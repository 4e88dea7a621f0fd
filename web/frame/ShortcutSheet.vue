<script setup lang="ts">
import { shortcutsOpen } from '../design/commands';

const KEYS: [string, [string, string][]][] = [
  [
    'Everywhere',
    [
      ['Ctrl K', 'find or do'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Y', 'redo; Ctrl Shift Z too'],
      ['arrows, letters', 'through a list: yard, layers'],
      ['?', 'this list'],
    ],
  ],
  [
    'On the bench',
    [
      ['Tab', 'from piece to piece'],
      ['← → ↑ ↓', 'nudge 5 mm; in the front view ↑ ↓ bury less or more'],
      ['Shift with arrows', 'nudge 20 mm'],
      ['[ and ] or wheel', 'turn by 5°, with Shift by 1°'],
      ['Alt with arrows', 'lean to a side, back or forward; so does the wheel in the front view'],
      ['Shift and press', 'select further pieces: they are moved, turned and copied together'],
      ['X', 'type where it is; Tab for the next figure, Enter back to the piece'],
      ['D', 'let the piece down where it is'],
      ['C', 'copy beside itself'],
      ['Delete', 'take the piece off the bench'],
      ['Esc', 'let go, back to where you came from'],
    ],
  ],
  [
    'Planting',
    [
      ['click', 'set a corner'],
      ['Enter', 'close the region'],
      ['Backspace', 'take back the last corner'],
      ['Esc', 'leave it'],
      ['Enter on a patch', 'choose it; arrows then move it, with Shift further'],
      ['Arrows', 'go from patch to patch'],
      ['Delete', 'take the patch away'],
    ],
  ],
];
</script>

<template>
  <v-dialog v-model="shortcutsOpen" width="520">
    <div class="sheet" role="dialog" aria-label="Keyboard shortcuts">
      <section v-for="[where, keys] in KEYS" :key="where">
        <h2>{{ where }}</h2>
        <dl>
          <template v-for="[key, what] in keys" :key="key">
            <dt>{{ key }}</dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
      <button class="act" @click="shortcutsOpen = false">Close</button>
    </div>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 22px 26px;
  border: 1px solid var(--rule);
}
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 4px 12px;
  margin: 6px 0 16px;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
  color: var(--ink-2);
}
</style>
