-- names in the store; before, they were places on the disk
update delivered set path = 'delivered/' || job_id || '/' || name;
