-- specifications kept and ordered before there were watermarks have none
update specification
set body = body || '{"watermark": {"text": "", "place": "LOWER_RIGHT", "size": 0.03, "strength": 0.5}}'
where not body ? 'watermark';

update job
set subject = jsonb_set(
    subject,
    '{specifications}',
    (select jsonb_agg(
         case when s ? 'watermark' then s
         else s || '{"watermark": {"text": "", "place": "LOWER_RIGHT", "size": 0.03, "strength": 0.5}}' end
         order by n)
     from jsonb_array_elements(subject -> 'specifications') with ordinality as e (s, n)))
where kind = 'DELIVERY' and jsonb_typeof(subject -> 'specifications') = 'array';
