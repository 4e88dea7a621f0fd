<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import {
  lookWhoIsHere,
  may,
  me,
  people,
  type JournalLine,
  type Person,
  type Role,
  type Waiting,
} from '../../document/people';
import { shortDay } from '../../units/days';
import { wording } from '../../words/wording';
import OwnDevices from './OwnDevices.vue';
import OwnPassword from './OwnPassword.vue';

/** Who works here, who is invited, and what was done with accounts; for everybody their own devices and password. */
const all = shallowRef<readonly Person[]>([]);
const invitations = shallowRef<readonly Waiting[]>([]);
const journal = shallowRef<readonly JournalLine[]>([]);
const fault = ref('');
const isOwner = () => may('people') && me.value?.open === false;

async function load(): Promise<void> {
  await lookWhoIsHere();
  if (!isOwner()) return;
  const [who, lines] = await Promise.all([people.all(), people.journal()]);
  [all.value, invitations.value, journal.value] = [who.people, who.invitations, lines.lines];
}
async function attempt(work: () => Promise<unknown>): Promise<void> {
  fault.value = '';
  try {
    await work();
    await load();
  } catch (error) {
    fault.value = error instanceof Error ? error.message : String(error);
  }
}
void attempt(async () => {});

const ROLES: Record<Role, string> = {
  owner: wording('people.owner'),
  designer: wording('people.designer'),
};
/** A link that was just made: of its secret the server keeps only a hash. */
const made = ref<{ name: string; link: string }>();
const [name, role] = [ref(''), ref<Role>('designer')];
const isCopied = ref(false);
const invite = () =>
  attempt(async () => {
    const { secret } = await people.invite(name.value.trim(), role.value);
    made.value = { name: name.value.trim(), link: `${window.location.origin}/join#${secret}` };
    [name.value, isCopied.value] = ['', false];
  });
const copy = () =>
  navigator.clipboard.writeText(made.value!.link).then(
    () => (isCopied.value = true),
    () => (isCopied.value = false),
  );
/** Asked for a second time before somebody is sent away. */
const leaving = ref<string>();
const day = (moment: string) => shortDay(moment.slice(0, 10));
const signOut = () =>
  attempt(async () => {
    await people.signOut();
    window.location.assign('/');
  });
</script>

<template>
  <section class="people">
    <h2>{{ wording('people.title') }}</h2>
    <p v-if="fault" class="late" role="alert" data-test="people-fault">{{ fault }}</p>
    <p v-if="me?.open" data-test="people-none">{{ wording('people.none') }}</p>
    <template v-else-if="me?.person">
      <p class="you">
        <b>{{ wording('people.you', { name: me.person.name, role: ROLES[me.person.role] }) }}</b>
        <button class="act" data-test="sign-out" @click="signOut">{{ wording('people.signOut') }}</button>
      </p>
      <template v-if="isOwner()">
        <h3>{{ wording('people.all') }}</h3>
        <ul>
          <li v-for="p in all" :key="p.id" :data-person="p.email">
            <b>{{ p.name }}</b>
            <span>{{ p.email }}</span>
            <span>{{ ROLES[p.role] }}</span>
            <template v-if="leaving === p.id">
              <span class="late">{{ wording('people.removeAsk', { name: p.name }) }}</span>
              <button class="act" data-test="remove-yes" @click="attempt(() => people.remove(p.id))">
                {{ wording('people.remove') }}
              </button>
            </template>
            <template v-else>
              <button
                class="act"
                @click="attempt(() => people.setRole(p.id, p.role === 'owner' ? 'designer' : 'owner'))"
              >
                {{ wording(p.role === 'owner' ? 'people.makeDesigner' : 'people.makeOwner') }}
              </button>
              <button class="act" data-test="remove" @click="leaving = p.id">
                {{ wording('people.remove') }}
              </button>
            </template>
          </li>
          <li v-for="i in invitations" :key="i.id" class="waits">
            <span>{{
              wording('people.waits', { name: i.name, role: ROLES[i.role], day: day(i.until) })
            }}</span>
            <button class="act" data-test="withdraw" @click="attempt(() => people.withdraw(i.id))">
              {{ wording('people.withdraw') }}
            </button>
          </li>
        </ul>
        <form class="invite" @submit.prevent="invite">
          <label
            >{{ wording('people.invite') }}
            <input
              v-model="name"
              :placeholder="wording('people.inviteName')"
              required
              maxlength="200"
              data-test="invite-name"
          /></label>
          <label v-for="(title, r) in ROLES" :key="r" class="role"
            ><input v-model="role" type="radio" name="role" :value="r" />{{ title }}</label
          >
          <button class="solid" data-test="invite">{{ wording('people.invite.go') }}</button>
        </form>
        <p v-if="made" class="made" role="status">
          {{ wording('people.invite.link', { name: made.name }) }}
          <code data-test="invite-link">{{ made.link }}</code>
          <button class="act" @click="copy">
            {{ wording(isCopied ? 'people.copied' : 'people.copy') }}
          </button>
        </p>
      </template>
      <OwnDevices />
      <OwnPassword />
      <details v-if="isOwner()">
        <summary class="act">{{ wording('people.journal') }}</summary>
        <ol>
          <li v-for="(l, i) in journal" :key="i">
            {{ day(l.at) }} {{ l.at.slice(11, 16) }} · {{ l.who ?? '–' }} · {{ l.what }}
          </li>
        </ol>
      </details>
    </template>
  </section>
</template>

<style scoped>
.people {
  max-width: 900px;
}
.you {
  display: flex;
  gap: 24px;
  align-items: baseline;
}
h3 {
  margin: 22px 0 4px;
}
ul,
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
ul > li {
  display: grid;
  grid-template-columns: 1fr 1.6fr 0.7fr auto auto;
  gap: 0 18px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
ul > .waits {
  grid-template-columns: 1fr auto;
  color: var(--ink-2);
}
.invite {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: end;
  margin-top: 16px;
}
.invite label {
  display: grid;
  gap: 3px;
}
.invite .role {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
.invite input:not([type='radio']) {
  min-height: 40px;
  min-width: 220px;
  padding: 6px 10px;
  font: inherit;
  background: var(--paper);
  color: var(--ink);
  border: 1px solid var(--ink-2);
}
.made {
  margin-top: 14px;
  background: var(--paper);
  border-left: 3px solid var(--celadon);
  padding: 8px 14px;
}
code {
  display: block;
  overflow-wrap: anywhere;
  padding: 4px 0;
  user-select: all;
}
details ol {
  font-variant-numeric: tabular-nums;
}
@media (max-width: 700px) {
  ul > li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
