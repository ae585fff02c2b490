/** SQL that puts a show back to before its outfits and templates were rows with versions. */
export const BEFORE_DESIGNS = `
  create table outfit (
    id text not null, show_id text not null references show(id) on delete cascade, rank real not null, name text not null,
    lines_per_slide integer not null, variants text not null default '[]', primary key (show_id, id)
  ) strict;
  create table template (
    id integer primary key, show_id text not null references show(id) on delete cascade, outfit_id text not null,
    field_set text not null, rank integer not null, content_hash text not null references content(hash),
    unique (show_id, outfit_id, field_set, rank)
  ) strict;
  insert into outfit select d.id, d.show_id, d.rank, d.name, doc ->> 'linesPerSlide', doc -> 'variants'
    from design d join content c on c.hash = d.published_hash where d.kind = 'outfit';
  insert into template (show_id, outfit_id, field_set, rank, content_hash)
    select d.show_id, d.id, sets.key, ids.key, worn.published_hash
    from design d join content c on c.hash = d.published_hash, json_each(c.doc -> 'wears') sets, json_each(sets.value) ids
    join design worn on worn.kind = 'template' and worn.id = ids.value and worn.show_id = d.show_id
    where d.kind = 'outfit';
  drop table design_edit;
  drop table design_version;
  drop table design;
  alter table show drop column style_id;
  alter table media drop column folder;
  alter table media drop column tags;
  delete from link where kind in ('hook', 'second');
  drop table seen_step;
  drop table report_note;
  drop table beside_air;
  drop table song_shown;
  drop table remote_link;
  alter table evening drop column copied_cues;
  alter table show drop column check_limits;
  delete from kysely_migration where name >= 'm0013';
`;
