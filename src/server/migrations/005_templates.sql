-- Sites as they are handed out: what a new site can begin from, whatever has become of the one that was there first.
CREATE TABLE IF NOT EXISTS templates (
  id VARCHAR(40) NOT NULL PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  document JSON NOT NULL
) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;
