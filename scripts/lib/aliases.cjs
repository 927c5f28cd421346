// Where `~` and `~~` point, for the check of import directions.
const { join } = require('node:path')

const root = join(__dirname, '..', '..')
module.exports = {
  resolve: {
    alias: { '~~': root, '~': join(root, 'app') },
    extensions: ['.ts', '.mjs', '.js', '.vue', '.json'],
  },
}
