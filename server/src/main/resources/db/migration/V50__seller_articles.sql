-- What a seller's article was when its boxes came in the last time.
create table seller_article (
    id uuid not null primary key,
    workshop_id uuid not null,
    article varchar(30) not null,
    cut_code varchar(40) not null,
    bone_in boolean not null,
    grade varchar(60) not null,
    supplier varchar(80) not null,
    constraint seller_article_of_workshop unique (workshop_id, article),
    constraint seller_article_workshop foreign key (workshop_id) references workshop (id)
);
