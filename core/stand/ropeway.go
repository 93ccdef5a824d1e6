package stand

const Ropeway = `{
 "project": {"kind":"project","title":"T","slug":"t","zone":"UTC","userTable":"t_staff","userField":"f_name"},
 "r_tech": {"kind":"role","pos":1,"name":"Technician","start":"s_board"},
 "r_lead": {"kind":"role","pos":2,"name":"Shift lead","start":"s_board"},
 "r_vis": {"kind":"role","pos":3,"name":"Visitor","start":"s_board"},
 "t_staff": {"kind":"table","source":"so_d","relation":"staff","label":"Staff","one":"person","key":["f_id"],"title":"{record.f_name}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole","readOnly":true},"f_name":{"pos":2,"column":"name","alias":"name","label":"Name","type":"text"},"f_phone":{"pos":3,"column":"phone","alias":"phone","label":"Phone","type":"text","nullable":true}}},
 "t_lifts": {"kind":"table","source":"so_d","relation":"lifts","label":"Lifts","one":"lift","key":["f_id"],"title":"{record.f_name}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole","readOnly":true},"f_code":{"pos":2,"column":"code","alias":"code","label":"Code","type":"text"},"f_name":{"pos":3,"column":"name","alias":"name","label":"Name","type":"text"}}},
 "eq_lift": {"kind":"equipment","table":"t_lifts","source":"so_p","parts":{"q_drive":{"pos":1,"alias":"drive","label":"drive","tags":{
   "g_run":{"pos":1,"alias":"running","label":"running","type":"yesno","node":"{code}.running"},"g_speed":{"pos":2,"alias":"speed","label":"speed","type":"number","unit":"m/s","node":"{code}.speed"},
   "g_set":{"pos":3,"alias":"set","label":"set speed","type":"number","writable":true,"min":0,"max":6,"node":"{code}.set"}}}}},
 "t_cabins": {"kind":"table","source":"so_d","relation":"cabins","label":"Cabins","one":"cabin","key":["f_id"],"title":"{record.f_no}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole","readOnly":true},"f_no":{"pos":2,"column":"no","alias":"number","label":"Number","type":"text"},
   "f_lift":{"pos":3,"column":"lift_id","alias":"lift","label":"Lift","type":"record","references":"t_lifts","nullable":true},"f_state":{"pos":4,"column":"state","alias":"state","label":"State","type":"text","choices":["in service","on hold"]}}},
 "t_defects": {"kind":"table","source":"so_d","relation":"defects","label":"Defects","one":"defect","key":["f_id"],"title":"{record.f_code}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole","readOnly":true},"f_code":{"pos":2,"column":"code","alias":"code","label":"Code","type":"text"},"f_what":{"pos":3,"column":"what","alias":"what","label":"What","type":"text"},
   "f_state":{"pos":4,"column":"state","alias":"state","label":"State","type":"text","choices":["open","closed"]},"f_cabin":{"pos":5,"column":"cabin_id","alias":"cabin","label":"Cabin","type":"record","references":"t_cabins","nullable":true},
   "f_by":{"pos":6,"column":"by_id","alias":"by","label":"By","type":"record","references":"t_staff","nullable":true},"f_hours":{"pos":7,"column":"hours","alias":"hours","label":"Hours","type":"decimal","nullable":true}}},
 "gr_1": {"kind":"grant","role":"r_tech","table":"t_defects","view":true,"add":true,"edit":true},
 "gr_2": {"kind":"grant","role":"r_tech","table":"t_cabins","view":true,"edit":true,"readOnly":{"f_no":true}},
 "gr_3": {"kind":"grant","role":"r_tech","table":"t_staff","view":true,"hidden":{"f_phone":true}},
 "gr_4": {"kind":"grant","role":"r_tech","table":"t_lifts","view":true},
 "gr_5": {"kind":"grant","role":"r_lead","table":"t_cabins","view":true},
 "gr_6": {"kind":"grant","role":"r_lead","table":"t_defects","view":true},
 "gr_7": {"kind":"grant","role":"r_lead","table":"t_lifts","view":true},
 "s_board": {"kind":"screen","type":"menu","title":"Board","slug":"board","elements":{
   "e_mine":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":4},"words":"Mine","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","bind":{"i_by":{"rule":"user","none":"grey","reason":"You have no record."}},"arrive":{"filters":{"a_1":{"pos":1,"path":"f_state","compare":"isNot","value":"closed"}}}}}}}}}},
 "s_list": {"kind":"screen","type":"list","title":"Defects","slug":"defects","inputs":{"i_cabin":{"pos":1,"alias":"cabin","label":"Cabin","type":"record","table":"t_cabins","filter":"f_cabin"},"i_by":{"pos":2,"alias":"by","label":"By","type":"record","table":"t_staff","filter":"f_by"}},"elements":{
   "e_list":{"kind":"list","pos":1,"cell":{"row":1,"col":1,"w":12},"table":"t_defects","columns":{"k_1":{"pos":1,"path":"f_code"},"k_2":{"pos":2,"path":"f_cabin"},"k_3":{"pos":3,"path":"f_cabin.f_lift.f_name"},"k_4":{"pos":4,"path":"f_by.f_phone"}},
     "opened":{"while":"row.f_state == \"open\"","otherwise":{"grey":"Closed."},"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"row"}}}}}}}}},
 "s_defect": {"kind":"screen","type":"form","title":"Defect","heading":"Defect {record.f_code}","slug":"defect","record":"i_d","up":"s_list","inputs":{"i_d":{"pos":1,"alias":"defect","label":"Defect","type":"record","table":"t_defects","required":true}},"elements":{
   "e_what":{"kind":"field","pos":1,"cell":{"row":1,"col":1,"w":4},"path":"f_what"},"e_hours":{"kind":"field","pos":2,"cell":{"row":1,"col":5,"w":4},"path":"f_hours"},"e_code":{"kind":"field","pos":2,"cell":{"row":1,"col":9,"w":4},"path":"f_code","readOnly":true},
   "e_cabin":{"kind":"button","pos":3,"cell":{"row":2,"col":1,"w":2},"words":"Its cabin","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin","none":"grey","reason":"On no cabin."}}}}}}},
   "e_close":{"kind":"button","pos":4,"cell":{"row":2,"col":3,"w":2},"words":"Close","gate":{"roles":{"r_tech":true},"while":"record.f_state == \"open\"","otherwise":{"grey":"It is closed."},"confirm":"Close {record.f_code}?","cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"set","pos":1,"fields":{"f_state":"\"closed\"","f_by":"user.record"}}},"move":{"kind":"back"}}}}},
   "e_save":{"kind":"button","pos":5,"cell":{"row":2,"col":5,"w":2},"modes":{"edit":true,"add":true},"words":"Save","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"save","pos":1}},"move":{"kind":"screen","target":"s_defect","as":"replace","bind":{"i_d":{"rule":"this"}}}}}}}}},
 "s_cabin": {"kind":"screen","type":"form","title":"Cabin","heading":"Cabin {record.f_no}","slug":"cabin","record":"i_c","guard":"record.f_state != \"on hold\"","inputs":{"i_c":{"pos":1,"alias":"cabin","label":"Cabin","type":"record","table":"t_cabins","required":true}},"elements":{
   "e_add":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Report on {record.f_no}","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","mode":"add","set":{"f_cabin":"record"}}}}}},
   "e_dlg":{"kind":"button","pos":2,"cell":{"row":1,"col":3,"w":2},"words":"Look","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","as":"dialog","bind":{"i_cabin":{"rule":"this"}}}}}}}}},
 "s_drive": {"kind":"screen","type":"operator","title":"Drive","slug":"drive","record":"i_l","inputs":{"i_l":{"pos":1,"alias":"lift","label":"Lift","type":"record","table":"t_lifts","required":true}},"elements":{
   "e_gauge":{"kind":"gauge","pos":1,"cell":{"row":1,"col":1,"w":3},"words":"Speed","value":"record.equip.q_drive.g_speed","min":0,"max":6},
   "e_lamp":{"kind":"lamp","pos":2,"cell":{"row":2,"col":1,"w":3},"words":"Running","value":"record.equip.q_drive.g_run","on":"runs","off":"stands"},
   "e_faster":{"kind":"button","pos":3,"cell":{"row":3,"col":1,"w":3},"words":"Faster","gate":{"while":"record.equip.q_drive.g_run","cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"write","pos":1,"tag":"record.equip.q_drive.g_set","value":"record.equip.q_drive.g_speed + 1"}}}}}},
   "e_idle":{"kind":"button","pos":4,"cell":{"row":4,"col":1,"w":3},"words":"Idle","gate":{"while":"!record.equip.q_drive.g_run","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}},
 "s_chart": {"kind":"screen","type":"dashboard","title":"Chart","slug":"chart","elements":{
   "e_chart":{"kind":"chart","pos":1,"cell":{"row":1,"col":1,"w":12},"table":"t_defects","by":"f_cabin","chosen":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"point"}}}}}}}}}
}`
