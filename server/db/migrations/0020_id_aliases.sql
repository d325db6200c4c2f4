CREATE TABLE `id_aliases` (
	`old` text PRIMARY KEY NOT NULL,
	`now` text NOT NULL
);
