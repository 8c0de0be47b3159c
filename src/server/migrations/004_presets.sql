-- Effects with their markup, to be used again on any site.
CREATE TABLE IF NOT EXISTS presets (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  document JSON NOT NULL,
  saved_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY presets_by_name (name, id)
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;
