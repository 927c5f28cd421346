/*
 * The rooms of each wing from the ground up: a room leans on its own level and on those before it, never up. The check of
 * import directions holds the code to it, and a test holds this list to the folders.
 */
module.exports = {
  core: [
    ['numeric', 'units', 'money'],
    ['schema', 'wind', 'timber', 'ground', 'concrete', 'setout', 'cause', 'instruments'],
    ['tables'],
    ['document', 'weather'],
    ['edit', 'exchange', 'resolve'],
    ['repair'],
    ['plan'],
    ['items', 'calc', 'choose', 'pour', 'day', 'practice', 'hole'],
    ['storm', 'cost'],
    ['yard', 'survive'],
    ['record'],
    ['report'],
    ['offer'],
  ],
  server: [
    ['http'],
    ['workspace'],
    ['people', 'photographs', 'yard', 'sheets', 'forecast'],
    ['jobs'],
    ['worker'],
    ['papers'],
    ['offers', 'record', 'storm'],
    ['demo'],
    ['api', 'middleware', 'plugins'],
  ],
  app: [
    ['styles', 'sync'],
    ['session'],
    ['controls', 'exchange', 'weather'],
    ['instruments', 'yard'],
    ['job'],
    ['gust', 'survive', 'picture'],
    ['glossary', 'pours', 'bench'],
    ['places'],
    ['shell', 'practice'],
    ['jobs'],
    ['pages', 'plugins'],
  ],
}
