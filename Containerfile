# The studio's server in a container: the interface and the server built, Node, and nothing else that runs.
# Its data lie in /data: mount a folder or a volume there that has a backup of its own (docs/hosting.md).
FROM node:20-bookworm-slim
WORKDIR /opt/utsuwa
COPY . .
RUN node -e "import('./scripts/ready.mjs').then(async ({ installed, built }) => { await installed(); await built(); })" \
  && install -d -o node -g node -m 700 /data
USER node
ENV UTSUWA_DATA=/data HOST=0.0.0.0 PORT=4680
VOLUME /data
EXPOSE 4680
# A stop is given time: orders under way are settled, and what was written last is backed up.
STOPSIGNAL SIGTERM
HEALTHCHECK --interval=30s CMD node -e "fetch('http://127.0.0.1:4680/api/ready').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"
CMD ["node", "--enable-source-maps", "dist/node/server/main.js"]
