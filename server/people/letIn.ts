import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { z } from 'zod';

/** Signs somebody in of whom it is known who they are, by other means than a password. It has no address: only this server asks it. */
export const letInPlugin = () => ({
  id: 'let-in',
  endpoints: {
    letIn: createAuthEndpoint.serverOnly(
      { method: 'POST', body: z.object({ id: z.string() }) },
      async (ctx) => {
        const { internalAdapter } = ctx.context;
        const user = await internalAdapter.findUserById(ctx.body.id);
        if (!user) return ctx.json({ is: false });
        const session = await internalAdapter.createSession(user.id);
        await setSessionCookie(ctx, { session, user });
        return ctx.json({ is: true });
      },
    ),
  },
});
