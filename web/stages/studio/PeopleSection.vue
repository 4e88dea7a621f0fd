<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import {
  lookWhoIsHere,
  may,
  me,
  people,
  type Done,
  type JournalLine,
  type Person,
  type Role,
  type Waiting,
} from '../../document/people';
import { useAttempt } from '../../design/attempt';
import OnceLink from '../../frame/OnceLink.vue';
import { momentDay, momentTime } from '../../units/days';
import { wording } from '../../words/wording';
import OwnDevices from './OwnDevices.vue';
import OwnPassword from './OwnPassword.vue';
import OwnWays from './OwnWays.vue';

/** Who works here, who is invited, and what was done with accounts; for everybody their own devices and password. */
const all = shallowRef<readonly Person[]>([]);
const invitations = shallowRef<readonly Waiting[]>([]);
const journal = shallowRef<readonly JournalLine[]>([]);
const { fault, attempt } = useAttempt();
const isOwner = () => may('people') && me.value?.open === false;

async function load(): Promise<void> {
  await lookWhoIsHere();
  if (!isOwner()) return;
  const [who, lines] = await Promise.all([people.all(), people.journal()]);
  [all.value, invitations.value, journal.value] = [who.people, who.invitations, lines.lines];
}
/** What changes who is here: the lists are as they are afterwards. */
const change = (work: () => Promise<unknown>) => attempt(async () => (await work(), load()));
void attempt(load);

const ROLES: Record<Role, string> = {
  owner: wording('people.owner'),
  designer: wording('people.designer'),
  books: wording('people.books'),
  crew: wording('people.crew'),
  guest: wording('people.guest'),
};
/** What each may, where a role is chosen. */
const MAY: Record<Role, string> = {
  owner: wording('people.may.owner'),
  designer: wording('people.may.designer'),
  books: wording('people.may.books'),
  crew: wording('people.may.crew'),
  guest: wording('people.may.guest'),
};
/** What the journal has, in words. */
const DONE: Record<Done, string> = {
  made: wording('people.did.made'),
  'signed-in': wording('people.did.signedIn'),
  invited: wording('people.did.invited'),
  'invitation-withdrawn': wording('people.did.invitationWithdrawn'),
  'role-changed': wording('people.did.roleChanged'),
  removed: wording('people.did.removed'),
  'password-changed': wording('people.did.passwordChanged'),
  'password-set-on-machine': wording('people.did.passwordSet'),
  'all-signed-out': wording('people.did.allSignedOut'),
  'link-given': wording('people.did.linkGiven'),
  'link-withdrawn': wording('people.did.linkWithdrawn'),
  'put-on': wording('people.did.putOn'),
  'taken-off': wording('people.did.takenOff'),
  'file-taken': wording('people.did.fileTaken'),
  'studio-taken': wording('people.did.studioTaken'),
  'client-handed-over': wording('people.did.clientHandedOver'),
  'client-erased': wording('people.did.clientErased'),
  'codes-on': wording('people.did.codesOn'),
  'codes-off': wording('people.did.codesOff'),
  'codes-lost': wording('people.did.codesLost'),
  'key-added': wording('people.did.keyAdded'),
  'key-removed': wording('people.did.keyRemoved'),
  'let-in-again': wording('people.did.letInAgain'),
  'got-in-again': wording('people.did.gotInAgain'),
};
/** A link that was just made: of its secret the server keeps only a hash. */
const made = ref<{ says: string; link: string }>();
const linkOf = (secret: string) => `${window.location.origin}/join#${secret}`;
/** For somebody who has lost password, phone or key. */
const letInAgain = (person: Person) =>
  change(async () => {
    const { secret } = await people.letInAgain(person.id);
    made.value = { says: wording('people.again.link', { name: person.name }), link: linkOf(secret) };
  });
const [name, role] = [ref(''), ref<Role>('designer')];
const invite = () =>
  change(async () => {
    const { secret } = await people.invite(name.value.trim(), role.value);
    const says = wording('people.invite.link', { name: name.value.trim() });
    made.value = { says, link: linkOf(secret) };
    name.value = '';
  });
/** Asked for a second time before somebody is sent away. */
const leaving = ref<string>();
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
            <select
              :value="p.role"
              :aria-label="wording('people.roleOf', { name: p.name })"
              data-test="role"
              @change="change(() => people.setRole(p.id, ($event.target as HTMLSelectElement).value as Role))"
            >
              <option v-for="(title, r) in ROLES" :key="r" :value="r">{{ title }}</option>
            </select>
            <template v-if="leaving === p.id">
              <span class="late">{{ wording('people.removeAsk', { name: p.name }) }}</span>
              <button class="act" data-test="remove-yes" @click="change(() => people.remove(p.id))">
                {{ wording('people.remove') }}
              </button>
            </template>
            <template v-else>
              <span class="acts">
                <button
                  v-if="p.id !== me.person.id"
                  class="act"
                  data-test="again"
                  :title="wording('people.again.what')"
                  @click="letInAgain(p)"
                >
                  {{ wording('people.again') }}
                </button>
                <button class="act" data-test="remove" @click="leaving = p.id">
                  {{ wording('people.remove') }}
                </button>
              </span>
            </template>
          </li>
          <li v-for="i in invitations" :key="i.id" class="waits">
            <span>{{
              i.personId
                ? wording('people.waitsAgain', { name: i.name, day: momentDay(i.until) })
                : wording('people.waits', { name: i.name, role: ROLES[i.role], day: momentDay(i.until) })
            }}</span>
            <button class="act" data-test="withdraw" @click="change(() => people.withdraw(i.id))">
              {{ wording('people.withdraw') }}
            </button>
          </li>
        </ul>
        <form class="invite" @submit.prevent="invite">
          <label class="boxed"
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
          <p class="quiet">{{ MAY[role] }}</p>
          <button class="solid" data-test="invite">{{ wording('people.invite.go') }}</button>
        </form>
        <OnceLink v-if="made" :says="made.says" :link="made.link" />
      </template>
      <OwnDevices />
      <OwnPassword />
      <OwnWays />
      <details v-if="isOwner()">
        <summary class="act">{{ wording('people.journal') }}</summary>
        <ol>
          <li v-for="(l, i) in journal" :key="i">
            {{ momentDay(l.at) }} {{ momentTime(l.at) }} · {{ l.who ?? '–' }} · {{ DONE[l.what] }}
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
  grid-template-columns: 1fr 1.6fr 0.7fr minmax(150px, auto);
  gap: 0 18px;
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.acts {
  display: flex;
  gap: 14px;
  justify-content: flex-end;
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
.invite .role {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
.invite p {
  flex-basis: 100%;
  margin: 0;
}
.invite .boxed {
  min-width: 220px;
}
details ol {
  font-variant-numeric: tabular-nums;
}
@media (max-width: 700px) {
  ul > li {
    grid-template-columns: 1fr 1fr;
  }
  .acts {
    justify-content: flex-start;
  }
}
</style>
