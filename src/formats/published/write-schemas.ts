import { writeFileSync } from 'node:fs'
import { format } from 'prettier'
import { backupSchemas } from './backup-schema.ts'

// Writes docs/schemas from what checks the entries: `npm run schemas`.
for (const [version, schema] of Object.entries(backupSchemas()))
  writeFileSync(
    `docs/schemas/backup-${version}.schema.json`,
    await format(JSON.stringify(schema), { parser: 'json', printWidth: 110 }),
  )
